import type { Schemas } from '../../api/client';
import { called } from '../../ui/quality';

/** The table from above, to scale: the buyers walk along its lower edge. */
export function TableDrawing({
  table,
  rows,
}: {
  table: Schemas['TableView'];
  rows: Schemas['PackingRow'][];
}) {
  const names = new Map(rows.map(({ bag }) => [bag.key, called(bag)]));
  const kinds = [...new Set(table.places.map(({ key }) => key))];
  const unit = table.wide / 300;
  return (
    <section className="sheet p-4" aria-label="The table">
      <h2>The table</h2>
      <svg
        viewBox={`${-2 * unit} ${-2 * unit} ${table.wide + 4 * unit} ${table.deep + 16 * unit}`}
        className="mt-2 w-full"
        role="img"
        aria-label={`${table.places.length} ${table.places.length === 1 ? 'bag' : 'bags'} on the table, from above`}
      >
        <rect width={table.wide} height={table.deep} fill="#f5ebc4" stroke="#14242d" strokeWidth={unit} />
        {table.places.map((place, i) => {
          const number = kinds.indexOf(place.key) + 1;
          const y = table.deep - place.front - place.deep;
          return (
            <g key={i}>
              <rect
                x={place.left}
                y={y}
                width={place.wide}
                height={place.deep}
                fill="#ffffff"
                stroke="#14242d"
                strokeWidth={unit * 0.7}
                rx={unit}
              />
              <text
                x={place.left + place.wide / 2}
                y={y + place.deep / 2}
                fontSize={Math.min(unit * 12, place.deep * 0.8, place.wide * 0.6)}
                textAnchor="middle"
                dominantBaseline="central"
                fill="#14242d"
              >
                {number}
              </text>
            </g>
          );
        })}
        <text
          x={table.wide / 2}
          y={table.deep + 11 * unit}
          fontSize={unit * 10}
          textAnchor="middle"
          fill="#48595f"
        >
          buyers
        </text>
      </svg>
      <ol className="list-decimal pl-6 text-[14px]">
        {kinds.map((key) => (
          <li key={key}>{names.get(key)}</li>
        ))}
      </ol>
      <p className="mt-1 text-[13px] text-soft">
        {table.under > 0
          ? `${table.under} more wait under it.`
          : table.places.length > 0 && 'All of it fits.'}
        {table.unknown > 0 &&
          ` Of ${table.unknown} ${table.unknown === 1 ? 'kind' : 'kinds'} nobody knows the size.`}
      </p>
    </section>
  );
}
