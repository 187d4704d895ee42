import type { Schemas } from '../../api/client';
import { SelectField, TextField } from '../../ui/Field';
import { replaced, useEditing, without } from './editing';
import { Choice, FormulaField, PartHeading, RowButton } from './fields';
import { HALVES, MARKS } from './words';

type Mark = Schemas['MarkRow'];

const NEW: Mark = {
  kind: 'POCKET',
  label: 'pocket',
  from: 'RAW',
  across: '',
  down: '',
  width: '',
  height: '',
  half: 'WHOLE',
};

const ACROSS = { LEFT: 'the left', CENTRE: 'the centre', RIGHT: 'the right' };

const DOWN = { TOP: 'the top', CENTRE: 'the centre', BOTTOM: 'the bottom' };

const CLOSINGS = {
  AS_IT_LIES: 'as the pieces lie',
  FACE_TO_FACE: 'face to face',
  FLAP_OVER: 'a flap or strap over it',
  FOLDED: 'the piece folded on itself',
};

const FROM = { RAW: 'raw edges', FINISHED: 'finished edges' };

/** What is marked on a piece or panel, and where. */
export function MarkList({
  place,
  marks,
  onChange,
}: {
  place: string;
  marks: Mark[];
  onChange: (marks: Mark[]) => void;
}) {
  const { document } = useEditing();
  const alternatives = (document.openChoices ?? []).flatMap((choice) =>
    choice.alternatives.map((one) => ({ key: one.key, name: `${choice.name}: ${one.name}` })),
  );
  return (
    <section aria-label="Marks">
      <PartHeading title="Marks" add="Add a mark" onAdd={() => onChange([...marks, NEW])} />
      {marks.map((mark, i) => {
        const set = (next: Partial<Mark>) => onChange(replaced(marks, i, next));
        const sized = mark.kind === 'POCKET' || mark.kind === 'GAP';
        const field = (key: 'across' | 'down' | 'width' | 'height', label: string) => (
          <FormulaField
            label={label}
            place={`${place}.marks.${i}.${key}`}
            value={mark[key]}
            onType={(text) => set({ [key]: text })}
          />
        );
        return (
          <div key={i} className="mb-2 border-b border-line pb-2">
            <div className="grid grid-cols-[1fr_1fr_1fr_auto] items-end gap-2">
              <Choice label="Mark" value={mark.kind} options={MARKS} onChoose={(kind) => set({ kind })} />
              <TextField
                label={mark.kind === 'MOTIF' ? 'Its name on the cloth' : 'What it is'}
                maxLength={80}
                value={mark.label}
                onChange={(event) => set({ label: event.target.value })}
              />
              <Choice label="From the" value={mark.from} options={FROM} onChoose={(from) => set({ from })} />
              <RowButton label={`Remove the mark ${mark.label}`} onPress={() => onChange(without(marks, i))}>
                ×
              </RowButton>
            </div>
            {mark.kind === 'MOTIF' && (
              <p className="mt-1 text-[13px] text-soft">
                Where its middle lies on the piece: empty for the middle of the piece. Without a name, any
                part that is marked on the cloth.
              </p>
            )}
            <div className="grid grid-cols-4 gap-2">
              {mark.kind !== 'CENTRE' && (
                <>
                  <Choice
                    label="Measured across from"
                    value={mark.acrossFrom ?? 'LEFT'}
                    options={ACROSS}
                    onChoose={(acrossFrom) => set({ acrossFrom })}
                  />
                  {field('across', 'So far')}
                  <Choice
                    label="Measured down from"
                    value={mark.downFrom ?? 'TOP'}
                    options={DOWN}
                    onChoose={(downFrom) => set({ downFrom })}
                  />
                  {field('down', 'So far down')}
                </>
              )}
              {(alternatives.length > 0 || mark.only) && (
                <SelectField
                  label="There with"
                  value={mark.only ?? ''}
                  onChange={(event) => set({ only: event.target.value || undefined })}
                >
                  <option value="">whatever is chosen</option>
                  {alternatives.map((one) => (
                    <option key={one.key} value={one.key}>
                      {one.name}
                    </option>
                  ))}
                </SelectField>
              )}
              {sized && field('width', 'Width')}
              {sized && field('height', 'Height')}
              {mark.kind === 'HARDWARE' && (
                <>
                  <Choice
                    label="Half"
                    value={mark.half}
                    options={HALVES}
                    onChoose={(half) => set({ half })}
                  />
                  <TextField
                    label="Closes with"
                    value={mark.pair ?? ''}
                    placeholder="its name"
                    onChange={(event) => set({ pair: event.target.value || undefined })}
                  />
                  {mark.pair && (
                    <Choice
                      label="How it closes"
                      value={mark.closing ?? 'AS_IT_LIES'}
                      options={CLOSINGS}
                      onChoose={(closing) => set({ closing })}
                    />
                  )}
                </>
              )}
            </div>
          </div>
        );
      })}
    </section>
  );
}
