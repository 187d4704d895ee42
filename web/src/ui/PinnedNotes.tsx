import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Schemas } from '../api/client';
import { Button } from './Button';
import { TextField } from './Field';
import { ProblemNotice } from './Notice';
import { Panel } from './Panel';
import { day } from './units';
import { useRequestId, useSend } from './useSend';

export type Note = Schemas['NoteView'];
export type NotePin = Schemas['NotePin'];

const notesKey = ['notes'];

/** A pin to nothing yet. */
export const PIN: NotePin = {
  about: 'DESIGN',
  step: '',
  stepName: '',
  letter: '',
  machine: '',
};

/** What a note is pinned to, in a few words. */
export const pinnedTo = ({ pin }: Note) =>
  ({
    STEP: pin.stepName,
    PIECE: `piece ${pin.letter}`,
    DESIGN: 'the whole design',
    MATERIAL: 'this material',
    MACHINE: 'the machine',
  })[pin.about];

/** Notes on slips of paper; one that has had its day is put away. */
export function NoteSlips({
  notes,
  onPutAway,
  large,
}: {
  notes: Note[];
  onPutAway: (note: Note) => void;
  /** To be read from two arm's lengths away. */
  large?: boolean;
}) {
  return (
    <ul className="space-y-2 empty:hidden" aria-label="Notes">
      {notes.map((note) => (
        <li
          key={note.id}
          className={`flex flex-wrap items-start justify-end gap-x-3 rounded border-l-4 border-weld bg-weld-tint px-3 py-2 ${large ? 'text-lg' : ''}`}
        >
          <span className="min-w-[200px] flex-1">
            <span className="break-words whitespace-pre-wrap">{note.text}</span>
            <span className="block text-[13px] text-soft">
              {pinnedTo(note)} · {day(note.on)}
              {note.batchId && ` · batch ${note.batchId}`}
            </span>
          </span>
          {note.pin.designId !== undefined && !large && <MakeChange note={note} />}
          <button
            type="button"
            className={`shrink-0 px-2 font-semibold text-woad hover:underline ${large ? 'min-h-14' : 'min-h-9'}`}
            onClick={() => onPutAway(note)}
          >
            Put away
          </button>
        </li>
      ))}
    </ul>
  );
}

/** Puts notes away, and what shows them is asked for anew. */
export function usePutAway(then?: () => void) {
  const client = useQueryClient();
  return useSend(
    (note: Note) => api.put<void>(`/api/notes/${note.id}/put-away`, { putAway: !note.putAway }),
    () => {
      void client.invalidateQueries({ queryKey: notesKey });
      then?.();
    },
  );
}

/** The notes about a design or a material, and a place to write another. */
export function PinnedNotes({ pin }: { pin: NotePin }) {
  const about = pin.about === 'MATERIAL' ? `material=${pin.materialId}` : `design=${pin.designId}`;
  const { data } = useQuery({
    queryKey: [...notesKey, about],
    queryFn: () => api.get<Note[]>(`/api/notes/about?${about}`),
  });
  const [writing, setWriting] = useState(false);
  const putAway = usePutAway();
  const notes = data?.filter((note) => note.pin.about !== 'MACHINE') ?? [];
  return (
    <section aria-label="Notes for next time" className="space-y-2">
      <NoteSlips notes={notes} onPutAway={(note) => putAway.mutate(note)} />
      {putAway.problem && <ProblemNotice problem={putAway.problem} />}
      {writing ? (
        <WriteNote pin={pin} onClose={() => setWriting(false)} />
      ) : (
        <button
          type="button"
          className="min-h-9 font-semibold text-woad hover:underline"
          onClick={() => setWriting(true)}
        >
          Note something for next time
        </button>
      )}
    </section>
  );
}

function WriteNote({ pin, onClose }: { pin: NotePin; onClose: () => void }) {
  const request = useRequestId();
  const [text, setText] = useState('');
  const send = useSend(() => api.post<void>('/api/notes', { id: request.id, pin, text }), onClose);
  return (
    <form
      noValidate
      className="flex flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (!send.isPending) send.mutate(undefined);
      }}
    >
      <div className="min-w-0 flex-1">
        <TextField
          label="What do you want to be told next time?"
          autoFocus
          maxLength={1000}
          value={text}
          error={send.problem?.on('text')}
          onChange={(event) => setText(event.target.value)}
        />
      </div>
      <Button type="submit" disabled={send.isPending}>
        Note it
      </Button>
      <Button look="quiet" onClick={onClose}>
        Leave it
      </Button>
      {send.problem && !send.problem.on('text') && <ProblemNotice problem={send.problem} />}
    </form>
  );
}

/** A note becomes a change of its design: another measure, or a check at a step. */
function MakeChange({ note }: { note: Note }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button
        type="button"
        className="min-h-9 shrink-0 px-2 font-semibold text-woad hover:underline"
        onClick={() => setOpen(true)}
      >
        Make it a change
      </button>
      {open && <ChangePanel note={note} onClose={() => setOpen(false)} />}
    </>
  );
}

function ChangePanel({ note, onClose }: { note: Note; onClose: () => void }) {
  const { data, error } = useQuery({
    queryKey: [...notesKey, note.id, 'lesson'],
    queryFn: () => api.get<Schemas['LessonView']>(`/api/notes/${note.id}/lesson`),
  });
  const take = useSend(
    (form: Schemas['TakeForm']) => api.post<void>(`/api/notes/${note.id}/lesson`, form),
    onClose,
  );
  const nothing = data && data.measures.length === 0 && data.steps.length === 0;
  return (
    <Panel title="Make it a change" open onOpenChange={(next) => !next && onClose()}>
      <p className="mb-3 rounded border-l-4 border-weld bg-weld-tint px-3 py-2">{note.text}</p>
      {error && <ProblemNotice problem={error} />}
      {take.problem && <ProblemNotice problem={take.problem} />}
      {nothing && (
        <p className="text-soft">
          Nothing in the design is found in it. Change the design on its page; or write the note so that it
          says what changes, like “opening 7 in → 10 in”.
        </p>
      )}
      <ul className="divide-y divide-line">
        {data?.measures.map((one) => (
          <li key={`${one.symbol} ${one.size}`} className="flex items-center justify-between gap-3 py-2">
            <span>
              <b>{one.label}</b>
              {one.sizeName && `, ${one.sizeName}`}: {one.now} → <b>{one.then}</b>
            </span>
            <Button
              disabled={take.isPending}
              onClick={() => take.mutate({ symbol: one.symbol, size: one.size, then: one.then })}
            >
              Change it
            </Button>
          </li>
        ))}
        {data?.steps.map((one) => (
          <li key={one.step} className="flex items-center justify-between gap-3 py-2">
            <span>
              Look at it before <b>“{one.name}”</b>
            </span>
            <Button
              look="quiet"
              disabled={take.isPending}
              onClick={() => take.mutate({ step: one.step, size: 0, then: '' })}
            >
              Add the check
            </Button>
          </li>
        ))}
      </ul>
      <p className="mt-2 text-[13px] text-soft">
        The note is put away then. Batches that are planned already keep the design as it was, until you take
        it as it is now.
      </p>
    </Panel>
  );
}
