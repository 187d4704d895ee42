import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Schemas } from '../../api/client';

const STORED = 'mardun.start-likelihood';
const LIKELIHOODS = [80, 90, 95, 99];

/** How many to begin so that enough come out, by what became of those that were begun before. */
export function StartPart({
  form,
  line,
  onBegin,
}: {
  form: Schemas['BatchForm'];
  line: number;
  onBegin: (started: string | undefined) => void;
}) {
  const [likelihood, setLikelihood] = useState(() => Number(localStorage.getItem(STORED) ?? 90) || 90);
  const { data } = useQuery({
    queryKey: ['batch-starting', form, line, likelihood],
    queryFn: ({ signal }) =>
      api.post<Schemas['StartView']>(
        `/api/batches/starting?line=${line}&likelihood=${likelihood}`,
        form,
        signal,
      ),
    placeholderData: keepPreviousData,
    gcTime: 10_000,
    enabled: line >= 0 && line < form.lines.length,
    retry: false,
  });
  if (!data) return null;
  const rests =
    data.bags === 0
      ? 'none of this design is done yet'
      : `${data.lost} of ${data.bags} ${data.bags === 1 ? 'bag' : 'bags'} of it`;
  return (
    <div className="mt-3 border-t border-line-faint pt-2.5">
      <div className="flex flex-wrap items-baseline gap-x-2 gap-y-1">
        <span>
          Of <b>{data.started}</b> enough come out with <b>{data.chance}</b>.
        </span>
        {data.enough !== undefined && data.enough > data.started && (
          <button
            type="button"
            className="min-h-9 font-semibold text-woad hover:underline"
            onClick={() => onBegin(String(data.enough))}
          >
            Begin {data.enough}
          </button>
        )}
        <label className="ml-auto text-[13px] text-soft">
          as likely as{' '}
          <select
            className="rounded border border-line-strong bg-white px-1 py-1"
            value={likelihood}
            onChange={(event) => {
              localStorage.setItem(STORED, event.target.value);
              setLikelihood(Number(event.target.value));
            }}
          >
            {LIKELIHOODS.map((one) => (
              <option key={one} value={one}>
                {one} %
              </option>
            ))}
          </select>
        </label>
      </div>
      <details>
        <summary className="cursor-pointer text-[13px] text-soft">
          {data.share} are spoiled, as far as is known: {rests}
        </summary>
        <table className="mt-1 text-[13.5px]">
          <tbody>
            {data.chances.map((one) => (
              <tr key={one.started}>
                <td className="pr-3 text-right">begin {one.started}</td>
                <td className="pr-3">
                  enough with <b>{one.chance}</b>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        <p className="mt-1 text-[13px] text-soft">{data.working.rule}</p>
      </details>
    </div>
  );
}
