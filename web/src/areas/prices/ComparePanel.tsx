import { Panel } from '../../ui/Panel';
import type { Row } from './PricesPage';

const name = (row: Row) => `${row.design}${row.size && `, ${row.size}`}`;

/** Bags side by side: which earns more for an hour, and which for one that is sold. */
export function ComparePanel({ rows, onClose }: { rows: Row[]; onClose: () => void }) {
  const earning = rows.filter((row) => row.perHour && row.left);
  const best = (of: (row: Row) => number) =>
    earning.reduce<Row | undefined>((most, row) => (most && of(most) >= of(row) ? most : row), undefined);
  const byHour = best((row) => row.perHour?.minor ?? 0);
  const byBag = best((row) => row.left?.minor ?? 0);
  const lines: { words: string; of: (row: Row) => string | undefined; most?: Row }[] = [
    { words: 'It costs', of: (row) => row.cost?.amount },
    { words: 'Price', of: (row) => row.price?.amount },
    { words: 'Left of one', of: (row) => row.left?.amount, most: byBag },
    { words: 'An hour earns', of: (row) => row.perHour?.amount, most: byHour },
  ];
  return (
    <Panel title="Side by side" open wide={rows.length > 3} onOpenChange={(isOpen) => !isOpen && onClose()}>
      <div className="overflow-x-auto">
        <table className="listing w-full">
          <thead>
            <tr>
              <td />
              {rows.map((row) => (
                <th key={`${row.designId} ${row.sizeKey}`} className="num">
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
                {rows.map((row) => (
                  <td
                    key={`${row.designId} ${row.sizeKey}`}
                    className={`num ${line.most === row ? 'font-bold text-moss' : ''}`}
                  >
                    {line.of(row) ?? 'not yet'}
                    {line.most === row && <span className="block text-[13px] font-normal">the most</span>}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {byHour?.below && (
        <p className="mt-3 font-semibold text-madder">
          None of them earns what an hour is worth at the least.
        </p>
      )}
      {byHour && byBag && (
        <p className="mt-3">
          {byHour === byBag ? (
            <>
              Make more of <b>{name(byHour)}</b>, as long as it sells: it leaves the most of one, and for an
              hour.
            </>
          ) : (
            <>
              When hours are short, make more of <b>{name(byHour)}</b>; when few are bought,{' '}
              <b>{name(byBag)}</b> leaves the most of one.
            </>
          )}
        </p>
      )}
    </Panel>
  );
}
