import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, type Schemas } from '../../api/client';
import { keys, useToday } from '../../api/queries';
import { Button, FileLink } from '../../ui/Button';
import { TextField } from '../../ui/Field';
import { ProblemNotice } from '../../ui/Notice';
import { fullDay, useUnits } from '../../ui/units';
import { useRequestId, useSend } from '../../ui/useSend';
import { GROUPS, SCHOOLS } from './words';
import { useLast } from '../../ui/useLast';
import { useTitle } from '../../ui/useTitle';

/** What the shelf is worth at the end of a day, by the maker's school, and the small old offcuts to be thrown out. */
export default function ValuePage() {
  useTitle('What the shelf is worth');
  const units = useUnits();
  const today = useToday();
  const [chosen, setOn] = useState<string>();
  const on = chosen ?? today;
  const { data: known, error } = useQuery({
    queryKey: [...keys.materials, 'value', on],
    queryFn: () => api.get<Schemas['StockValueView']>(`/api/stock-value?on=${on}`),
    placeholderData: keepPreviousData,
    enabled: on !== '',
  });
  const data = useLast(known);
  if (!data) return error ? <ProblemNotice problem={error} /> : <p className="text-soft">Adding up …</p>;
  const most = Math.max(1, ...data.kinds.map((kind) => kind.worth.minor));
  return (
    <>
      <header className="mb-4 flex flex-wrap items-end justify-between gap-3">
        <div>
          <h1>What the shelf is worth</h1>
          <p className="text-soft">
            by {SCHOOLS[data.school]};{' '}
            <Link className="font-semibold text-woad hover:underline" to="/settings">
              the settings
            </Link>{' '}
            say how
          </p>
        </div>
        <div className="flex items-end gap-2.5">
          <TextField
            label="At the end of"
            type="date"
            max={today}
            value={on}
            onChange={(event) => event.target.value && setOn(event.target.value)}
          />
          {!error && (
            <FileLink className="mb-5" href={`/api/stock-value.csv?on=${on}`}>
              As CSV
            </FileLink>
          )}
        </div>
      </header>
      {error && <ProblemNotice problem={error} />}
      <div className="grid items-start gap-4 lg:grid-cols-[360px_1fr]">
        <div className="space-y-4">
          <section className="sheet p-4" aria-label="By kind">
            <div className="text-soft">On {fullDay(data.on)}</div>
            <div className="text-[34px] leading-tight font-bold">
              {data.total.amount} <span className="text-[18px]">{units.currency}</span>
            </div>
            <table className="listing mt-2">
              <tbody>
                {data.kinds.map((kind) => (
                  <tr key={kind.kind}>
                    <td>
                      {GROUPS.find((group) => group.kind === kind.kind)?.title}
                      <span className="mt-1 block h-2 overflow-hidden rounded bg-line-faint" aria-hidden>
                        <span
                          className="block h-full bg-woad"
                          style={{ width: `${(100 * Math.max(0, kind.worth.minor)) / most}%` }}
                        />
                      </span>
                    </td>
                    <td className="num font-bold">{kind.worth.amount}</td>
                  </tr>
                ))}
                {data.cutPieces.pieces > 0 && (
                  <tr>
                    <td>
                      <Link
                        className="inline-block min-h-6 font-semibold text-woad hover:underline"
                        to="/materials/cut"
                      >
                        Cut, not sewn
                      </Link>
                      <span className="block text-[13px] text-soft">
                        {data.cutPieces.pieces} pieces, at what their cloth cost
                      </span>
                    </td>
                    <td className="num font-bold">{data.cutPieces.worth.amount}</td>
                  </tr>
                )}
              </tbody>
            </table>
          </section>
          <Scrap />
        </div>
        <section className="sheet px-3 py-2.5" aria-label="Materials by worth">
          <table className="listing">
            <thead>
              <tr>
                <th>Material</th>
                <th className="num">On the shelf</th>
                <th className="num">Worth</th>
                <th className="num">Offcuts, precuts</th>
              </tr>
            </thead>
            <tbody>
              {data.lines.map((line) => (
                <tr key={line.materialId}>
                  <td>
                    <Link
                      className="inline-block min-h-6 font-semibold text-woad hover:underline"
                      to={`/materials/${line.materialId}`}
                    >
                      {line.name}
                    </Link>
                  </td>
                  <td className="num">{units.amount(line.onHand)}</td>
                  <td className="num font-bold">{line.worth.amount}</td>
                  <td className="num">
                    {line.pieces > 0 && `${line.pieces} · ${line.worthOfPieces.amount}`}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
      </div>
    </>
  );
}

/** Small offcuts that have lain long: the scrap bag is for them. */
function Scrap() {
  const units = useUnits();
  const request = useRequestId();
  const { data } = useQuery({
    queryKey: [...keys.materials, 'scrap'],
    queryFn: () => api.get<Schemas['ScrapLine'][]>('/api/scrap'),
  });
  const [kept, setKept] = useState<number[]>([]);
  const going = data?.filter((line) => !kept.includes(line.lotId)) ?? [];
  const send = useSend(
    () =>
      api.post<Schemas['ScrapLine'][]>('/api/scrap', {
        requestId: request.id,
        lotIds: going.map((line) => line.lotId),
      }),
    request.renew,
  );
  if (!data || data.length === 0) return null;
  return (
    <section className="sheet p-4" aria-label="For the scrap bag">
      <h2>For the scrap bag?</h2>
      <p className="text-soft">Small offcuts that have lain long.</p>
      <ul className="my-2">
        {data.map((line) => (
          <li key={line.lotId}>
            <label className="flex min-h-11 items-center gap-2">
              <input
                type="checkbox"
                className="size-5"
                checked={!kept.includes(line.lotId)}
                onChange={(event) =>
                  setKept(
                    event.target.checked ? kept.filter((id) => id !== line.lotId) : [...kept, line.lotId],
                  )
                }
              />
              <span>
                {line.count} × {units.own(line.width)} by {units.own(line.height)} of {line.name}
                <span className="block text-[13px] text-soft">kept {fullDay(line.keptAt)}</span>
              </span>
            </label>
          </li>
        ))}
      </ul>
      <ProblemNotice problem={send.problem} />
      <Button
        look="quiet"
        disabled={going.length === 0 || send.isPending}
        onClick={() => !send.isPending && send.mutate(undefined)}
      >
        Into the scrap bag
      </Button>
    </section>
  );
}
