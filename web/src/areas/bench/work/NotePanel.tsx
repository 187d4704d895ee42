import { useState } from 'react';
import { Button } from '../../../ui/Button';
import { TextField } from '../../../ui/Field';
import { Panel } from '../../../ui/Panel';
import { PhotoButton } from '../../../ui/PhotoButton';
import { PIN, type NotePin } from '../../../ui/PinnedNotes';
import type { WorkView } from './kept';
import type { Part, Turn } from './progress';

/** What a note can be pinned to here, in words. */
function places(view: WorkView, turn: Turn, part: Part): { words: string; pin: NotePin }[] {
  const { designId } = part;
  return [
    {
      words: `this step, “${turn.name}”`,
      pin: { ...PIN, about: 'STEP', designId, step: part.step, stepName: turn.name },
    },
    ...turn.pieces.map(({ piece }) => ({
      words: `the piece ${piece.letter}, ${piece.name}`,
      pin: { ...PIN, about: 'PIECE' as const, designId, letter: piece.letter },
    })),
    { words: `the whole design, ${part.what}`, pin: { ...PIN, about: 'DESIGN', designId } },
    { words: turn.at, pin: { ...PIN, about: 'MACHINE', machine: turn.place } },
    ...view.materials.map((material) => ({
      words: material.name,
      pin: { ...PIN, about: 'MATERIAL' as const, materialId: material.id },
    })),
  ];
}

/** Something to be told when it comes up again. */
export function NotePanel({
  view,
  turn,
  part,
  onNote,
  onPhoto,
  onClose,
}: {
  view: WorkView;
  turn: Turn;
  part: Part;
  onNote: (text: string, pin: NotePin) => void;
  onPhoto: () => void;
  onClose: () => void;
}) {
  const [text, setText] = useState('');
  const [at, setAt] = useState(0);
  const [wrong, setWrong] = useState(false);
  const all = places(view, turn, part);
  return (
    <Panel title="For next time" open onOpenChange={(open) => !open && onClose()}>
      <form
        noValidate
        className="space-y-4"
        onSubmit={(event) => {
          event.preventDefault();
          const pin = all[at]?.pin;
          setWrong(text.trim() === '');
          if (pin && text.trim() !== '') onNote(text.trim(), pin);
        }}
      >
        <TextField
          label="What do you want to be told?"
          maxLength={1000}
          value={text}
          error={wrong ? 'A note says something.' : undefined}
          onChange={(event) => setText(event.target.value)}
        />
        <fieldset>
          <legend className="text-[13px] font-semibold text-soft">It comes back at</legend>
          {all.map(({ words }, place) => (
            <label key={words} className="flex min-h-11 cursor-pointer items-center gap-2.5">
              <input
                type="radio"
                name="pin"
                className="size-5"
                checked={place === at}
                onChange={() => setAt(place)}
              />
              {words}
            </label>
          ))}
        </fieldset>
        <Button type="submit" className="!min-h-14 text-lg">
          Note it
        </Button>
      </form>
      <section className="mt-5 border-t border-line pt-4" aria-label="A photo of this step">
        <h3 className="text-[13px] font-semibold text-soft">Or a photo of how “{turn.name}” is done</h3>
        <div className="mt-2 flex items-center gap-3">
          {part.photo && (
            <img src={part.photo} alt="" className="h-24 rounded border border-line object-contain" />
          )}
          <PhotoButton
            path={`/api/bench/step-photo?design=${part.designId}&step=${encodeURIComponent(part.step)}`}
            photo={part.photo}
            onDone={onPhoto}
          />
        </div>
      </section>
    </Panel>
  );
}
