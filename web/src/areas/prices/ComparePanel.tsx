import { useQuery } from '@tanstack/react-query';
import { api, type Schemas } from '../../api/client';
import { keys } from '../../api/queries';
import { ProblemNotice } from '../../ui/Notice';
import { Panel } from '../../ui/Panel';
import { placeOf } from './place';
import type { Row } from './PricesPage';

const name = (row: Row) =>
  `${row.design}${row.size && `, ${row.size}`}${row.clothId ? `, ${row.cloth}` : ''}`;

/** Bags side by side: which leaves more for an hour, and which of one that is sold. */
export function ComparePanel({
  rows,
  channelId,
  onClose,
}: {
  rows: Row[];
  channelId: number;
  onClose: () => void;
}) {
  const places = rows.map((row) => placeOf(row, channelId));
  const { data, error } = useQuery({
    queryKey: [...keys.prices, 'compare', places],
    queryFn: () => api.post<Schemas['ComparedView']>('/api/prices/compare', { places }),
  });
  const byHour = data?.mostAnHour;
  const byBag = data?.mostOfOne;
  const best = (place: number | undefined) => {
    const row = place === undefined ? undefined : rows[place];
    return row && <b>{name(row)}</b>;
  };
  const lines: { words: string; of: (row: Row) => string | undefined; most?: number }[] = [
    { words: 'It costs', of: (row) => row.cost?.amount },
    { words: 'Price', of: (row) => row.price?.amount },
    { words: 'Left of one', of: (row) => row.left?.amount, most: byBag },
    { words: 'An hour earns', of: (row) => row.perHour?.amount, most: byHour },
  ];
  return (
    <Panel title="Side by side" open wide={rows.length > 3} onOpenChange={(isOpen) => !isOpen && onClose()}>
      <ProblemNotice problem={error} />
      <div className="overflow-x-auto">
        <table className="listing w-full">
          <thead>
            <tr>
              <td />
              {rows.map((row) => (
                <th key={`${row.designId} ${row.sizeKey} ${row.clothId ?? ''}`} className="num">
                  {name(row)}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {lines.map((line) => (
              <tr key={line.words}>
                <th scope="row" className="!border-b-0">
                  {line.words}
                </th>
                {rows.map((row, i) => (
                  <td
                    key={`${row.designId} ${row.sizeKey} ${row.clothId ?? ''}`}
                    className={`num ${line.most === i ? 'font-bold text-moss' : ''}`}
                  >
                    {line.of(row) ?? 'not yet'}
                    {line.most === i && <span className="block text-[13px] font-normal">the most</span>}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {data?.noneEnough && (
        <p className="mt-3 font-semibold text-madder">
          None of them earns what an hour is worth at the least.
        </p>
      )}
      {byHour !== undefined && byBag !== undefined && (
        <p className="mt-3">
          {byHour === byBag ? (
            <>Make more of {best(byHour)}, as long as it sells: it leaves the most of one, and for an hour.</>
          ) : (
            <>
              When hours are short, make more of {best(byHour)}; when few are bought, {best(byBag)} leaves the
              most of one.
            </>
          )}
        </p>
      )}
    </Panel>
  );
}
