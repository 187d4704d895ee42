import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, type Schemas } from '../../../api/client';
import type { Entry } from './kept';
import type { Outcome } from './SlipPanel';

type View = Schemas['CutAgainView'];
export type Again = NonNullable<NonNullable<Entry['slip']>['again']>;

/** Of a piece no more buttons than these; for more of it at once the whole bag is cut anew. */
const MOST_BUTTONS = 8;

const asked = (batch: number, line: number, bags: number, again: Again, whole: boolean) =>
  new URLSearchParams([
    ['batch', String(batch)],
    ['line', String(line)],
    ['bags', String(bags)],
    ['whole', String(whole)],
    ...again.pieces.map((piece) => ['pieces', piece]),
  ]).toString();

/**
 * What is cut once more for a bag that goes on, or all of it for one that is begun in the place of another; and from what, as far as the
 * server can be asked.
 */
export function CutAgain({
  batchId,
  line,
  bags,
  outcome,
  again,
  onChange,
}: {
  batchId: number;
  line: number;
  bags: number;
  outcome: Outcome;
  again: Again | undefined;
  onChange: (again: Again | undefined) => void;
}) {
  const whole = outcome === 'SCRAP';
  const now: Again = again ?? { pieces: [], dyes: [] };
  const question = asked(
    batchId,
    line,
    Math.max(1, bags),
    whole ? { ...now, pieces: [] } : now,
    whole && !!again,
  );
  const { data, error, isFetching } = useQuery({
    queryKey: ['cut-again', question],
    queryFn: () => api.get<View>(`/api/bench/cut-again?${question}`),
    placeholderData: keepPreviousData,
    staleTime: 0,
    gcTime: 0,
    retry: false,
  });
  if (error) {
    return (
      <p className="text-soft">
        What can be cut once more is on the shelf’s list, and that can’t be read now. Log the slip; what is
        cut for it can be said in another one when the server is back.
      </p>
    );
  }
  if (!data || data.pieces.length === 0) return null;

  const many = (letter: string) => now.pieces.filter((one) => one === letter).length;
  const take = (letter: string, count: number) => {
    const pieces = [
      ...now.pieces.filter((one) => one !== letter),
      ...Array.from({ length: count }, () => letter),
    ];
    onChange(pieces.length > 0 ? { ...now, pieces } : undefined);
  };
  const dyeOf = (cloth: View['cloths'][number]) =>
    now.dyes.find((one) => one.materialId === cloth.materialId)?.dye ?? cloth.choices[0]?.dye;

  return (
    <fieldset className="space-y-2">
      <legend className="text-[13px] font-semibold text-soft">
        {whole ? 'In its place' : 'What is cut once more, for each bag'}
      </legend>
      {whole ? (
        <label className="flex min-h-11 items-center gap-2.5">
          <input
            type="checkbox"
            className="size-6"
            checked={!!again}
            onChange={(event) => onChange(event.target.checked ? now : undefined)}
          />
          {bags > 1 ? `Cut all pieces of ${bags} others` : 'Cut all pieces of another'}, and begin{' '}
          {bags > 1 ? 'them' : 'it'} now
        </label>
      ) : (
        data.pieces.map((piece) => (
          <div key={piece.letter} className="flex min-h-11 items-center justify-between gap-3">
            <span>
              <b>{piece.letter}</b> {piece.name} <span className="text-soft">{piece.cloth}</span>
            </span>
            <span role="group" aria-label={`${piece.letter} ${piece.name}`} className="flex shrink-0 gap-1.5">
              {Array.from({ length: Math.min(piece.count, MOST_BUTTONS) + 1 }, (_, count) => (
                <button
                  key={count}
                  type="button"
                  aria-pressed={many(piece.letter) === count}
                  className={`size-11 rounded border ${many(piece.letter) === count ? 'border-woad bg-woad-tint font-semibold' : 'border-line-strong bg-white hover:bg-woad-tint'}`}
                  onClick={() => take(piece.letter, count)}
                >
                  {count}
                </button>
              ))}
            </span>
          </div>
        ))
      )}
      {again && (
        <div aria-live="polite" className={isFetching ? 'opacity-60' : ''}>
          {data.refusal && <p className="text-madder">{data.refusal}</p>}
          {data.cloths.map((cloth) => (
            <div key={cloth.materialId} className="border-t border-line-faint py-2">
              <b>{cloth.name}</b>
              {cloth.nothing && <p className="text-madder">{cloth.nothing}</p>}
              {cloth.choices.map((choice) => (
                <label
                  key={choice.dye}
                  className={`flex items-start gap-2.5 ${cloth.choices.length > 1 ? 'min-h-11' : ''}`}
                >
                  {cloth.choices.length > 1 && (
                    <input
                      type="radio"
                      name={`dye-${cloth.materialId}`}
                      className="mt-0.5 size-6 shrink-0"
                      checked={dyeOf(cloth) === choice.dye}
                      onChange={() =>
                        onChange({
                          ...now,
                          dyes: [
                            ...now.dyes.filter((one) => one.materialId !== cloth.materialId),
                            { materialId: cloth.materialId, dye: choice.dye },
                          ],
                        })
                      }
                    />
                  )}
                  <span>
                    {choice.says}
                    {!choice.ofTheBatch && (
                      <span className="block font-semibold text-weld">
                        Another dye than the batch has: lay both side by side in daylight first.
                      </span>
                    )}
                  </span>
                </label>
              ))}
            </div>
          ))}
        </div>
      )}
    </fieldset>
  );
}

/** Whether what is said can be cut, as far as the shelf was looked at. */
export const clean = (again: Again | undefined, outcome: Outcome): Again | undefined =>
  again && (outcome === 'SCRAP' ? { ...again, pieces: [] } : again.pieces.length > 0 ? again : undefined);
