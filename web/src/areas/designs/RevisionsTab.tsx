import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Schemas } from '../../api/client';
import { FinishedBag } from '../../ui/BagPicture';
import { Button } from '../../ui/Button';
import { Differences } from '../../ui/Differences';
import { ProblemNotice } from '../../ui/Notice';
import { PieceDrawings } from '../../ui/PieceDrawing';
import { fullDay } from '../../ui/units';
import { useSend } from '../../ui/useSend';

type Revisions = Schemas['RevisionsView'];
type Line = Schemas['RevisionLine'];
type Comparison = Schemas['RevisionComparison'];

/** The past of a design: each change with what it changed and what was made with it; an old one can be brought back. */
export function RevisionsTab({ designId, size }: { designId: number; size: string }) {
  const path = `/api/designs/${designId}/revisions`;
  const { data, error } = useQuery({
    queryKey: ['revisions', designId],
    queryFn: () => api.get<Revisions>(path),
  });
  const [chosen, setChosen] = useState<number>();
  const [against, setAgainst] = useState<'BEFORE' | 'NOW'>('BEFORE');
  const back = useSend(
    (number: number) => api.post<Revisions>(`${path}/${number}/brought-back`, { version: data?.version }),
    () => setChosen(undefined),
  );
  if (error) return <ProblemNotice problem={error} />;
  if (!data) return <p className="text-soft">Opening …</p>;
  const latest = data.revisions[0];
  const line = data.revisions.find((one) => one.number === chosen) ?? latest;
  if (!latest || !line) return null;
  const isLatest = line.number === latest.number;
  const isAgainstNow = against === 'NOW' && !isLatest;
  const pair: [number, number] | undefined = isAgainstNow
    ? [line.number, latest.number]
    : line.changes === undefined
      ? undefined
      : [line.number - 1, line.number];
  return (
    <div className="grid items-start gap-5 lg:grid-cols-[250px_1fr]">
      <ol className="max-h-[560px] overflow-y-auto border-l-4 border-dotted border-line-strong pl-3">
        {data.revisions.map((one) => (
          <li key={one.number}>
            <button
              type="button"
              aria-pressed={one.number === line.number}
              onClick={() => setChosen(one.number)}
              className="mb-1 block w-full rounded px-2 py-1.5 text-left hover:bg-woad-tint aria-pressed:bg-woad-tint"
            >
              <span className="font-bold">{one.number}</span> · {fullDay(one.madeOn)}
              <span className="block text-[13.5px] text-soft">
                {one.note || changesIn(one)}
                <span className="block">{madeWith(one)}</span>
              </span>
            </button>
          </li>
        ))}
      </ol>
      <div className="min-w-0">
        <div className="mb-3 flex flex-wrap items-end gap-3">
          <NoteField key={line.number} designId={designId} line={line} />
          {!isLatest && (
            <Button look="quiet" disabled={back.isPending} onClick={() => back.mutate(line.number)}>
              Bring it back
            </Button>
          )}
        </div>
        <ProblemNotice problem={back.problem} />
        <Learnt line={line} />
        {!isLatest && line.changes !== undefined && (
          <div role="group" aria-label="Compare" className="mb-3 flex gap-1">
            {(
              [
                ['BEFORE', `With ${line.number - 1}, before it`],
                ['NOW', `With ${latest.number}, as it is now`],
              ] as const
            ).map(([key, words]) => (
              <button
                key={key}
                type="button"
                aria-pressed={against === key}
                onClick={() => setAgainst(key)}
                className="min-h-10 rounded px-3 text-soft aria-pressed:bg-woad-tint aria-pressed:font-bold aria-pressed:text-woad"
              >
                {words}
              </button>
            ))}
          </div>
        )}
        {pair ? (
          <Compared designId={designId} from={pair[0]} to={pair[1]} size={size} />
        ) : (
          <p className="text-soft">The design began with this one.</p>
        )}
      </div>
    </div>
  );
}

function changesIn({ changes }: Line) {
  if (changes === undefined) return 'how it began';
  return changes === 1 ? 'one change' : `${changes} changes`;
}

function madeWith({ batches, bags, lost }: Line) {
  if (batches === 0) return 'nothing made with it';
  const of = batches === 1 ? 'one batch' : `${batches} batches`;
  return [of, bags > 0 && `${bags} bags`, lost > 0 && `${lost} lost`].filter(Boolean).join(', ');
}

/** What was learnt at the bench with a revision: how long a bag took, what went wrong, what was noted. */
function Learnt({ line }: { line: Line }) {
  if (!line.each && line.slips === 0 && line.notes.length === 0) return null;
  return (
    <section
      className="mb-3 rounded bg-tape px-3 py-2"
      aria-label={`Learnt at the bench with revision ${line.number}`}
    >
      {line.each && (
        <p>
          <b>{line.each.text}</b> a bag, as it was timed at{' '}
          {line.timedSteps === 1 ? 'one step' : `${line.timedSteps} steps`}
        </p>
      )}
      {line.slips > 0 && (
        <p>
          {line.slips === 1
            ? 'Something went wrong with one bag'
            : `Something went wrong with ${line.slips} bags`}
          {line.slipReason && `, most often: ${line.slipReason}`}
        </p>
      )}
      {line.notes.length > 0 && (
        <ul className="m-0 list-disc pl-5">
          {line.notes.map((note, i) => (
            <li key={i} className="break-words">
              {note.about && <b>{note.about}: </b>}
              {note.text} <span className="text-[13px] text-soft">{fullDay(note.on)}</span>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

/** What the maker says of it, kept when the field is left. */
function NoteField({ designId, line }: { designId: number; line: Line }) {
  const [typed, setTyped] = useState<string>();
  const keep = useSend(
    (note: string) =>
      api.put<Revisions>(`/api/designs/${designId}/revisions/${line.number}/note`, {
        version: line.version,
        note,
      }),
    () => setTyped(undefined),
  );
  return (
    <label className="min-w-[220px] grow">
      <span className="block text-[13.5px] font-semibold text-soft">Why revision {line.number}</span>
      <input
        className="min-h-11 w-full rounded border border-line-strong bg-white px-2.5"
        maxLength={500}
        placeholder="The opening was too small …"
        value={typed ?? line.note}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={() => typed !== undefined && typed !== line.note && keep.mutate(typed)}
        onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
      />
      {keep.problem && <span className="block text-madder">{keep.problem.message}</span>}
    </label>
  );
}

function Compared({
  designId,
  from,
  to,
  size,
}: {
  designId: number;
  from: number;
  to: number;
  size: string;
}) {
  const { data, error } = useQuery({
    queryKey: ['revisions', designId, from, to],
    queryFn: () => api.get<Comparison>(`/api/designs/${designId}/revisions/${from}/to/${to}`),
  });
  if (error) return <ProblemNotice problem={error} />;
  if (!data) return <p className="text-soft">Comparing …</p>;
  return (
    <>
      <div className="mb-4 grid gap-4 border-y border-line py-3 sm:grid-cols-2">
        <Drawn designId={designId} number={from} document={data.before} size={size} />
        <Drawn designId={designId} number={to} document={data.after} size={size} />
      </div>
      <Differences differences={data.differences} />
    </>
  );
}

/** A revision as it is sewn: the finished bag, and its pieces. */
function Drawn({
  designId,
  number,
  document,
  size,
}: {
  designId: number;
  number: number;
  document: Schemas['DesignDocument'];
  size: string;
}) {
  const { data } = useQuery({
    queryKey: ['revisions', designId, number, 'drawn'],
    queryFn: () => api.post<Schemas['DesignSheet']>('/api/designs/preview', { document, id: designId }),
    staleTime: Infinity,
  });
  const shown = data?.sizes.find((one) => one.size === size) ?? data?.sizes.at(-1);
  return (
    <figure>
      <figcaption className="mb-1 font-semibold">Revision {number}</figcaption>
      <div className="flex flex-wrap items-end gap-4">
        {shown?.finished && <FinishedBag finished={shown.finished} across={150} up={110} />}
        {shown && <PieceDrawings pieces={shown.pieces} width={210} height={120} />}
      </div>
    </figure>
  );
}
