import { cellOf, type Chart } from './table';

const WIDE = 620;
const HIGH = 300;
const STEM = 96;
const ENDS = 326;
const GAP = 9;
const THIN = 3;

/** Where the money went: what buyers paid flows apart into what it paid, each as wide as its share. */
export function Flow({ chart }: { chart: Chart }) {
  const parts = chart.table.rows
    .map((row) => ({
      name: cellOf(chart.table, row, 'to').text,
      amount: cellOf(chart.table, row, 'amount'),
      share: cellOf(chart.table, row, 'of what was paid').text,
    }))
    .filter((part) => (part.amount.size ?? 0) !== 0);
  const flowing = parts.filter((part) => (part.amount.size ?? 0) > 0);
  const lacking = parts.find((part) => (part.amount.size ?? 0) < 0);
  const whole = flowing.reduce((sum, part) => sum + (part.amount.size ?? 0), 0);
  const paid = parts.reduce((sum, part) => sum + (part.amount.size ?? 0), 0);
  const room = HIGH - 16 - GAP * (flowing.length - 1);
  const wide = (size: number) => (size / whole) * room;
  const stem = (HIGH - room) / 2;
  const begins = flowing.map((_, i) =>
    flowing.slice(0, i).reduce((sum, part) => sum + wide(part.amount.size ?? 0), 0),
  );
  return (
    <svg viewBox={`0 0 ${WIDE} ${HIGH}`} className="block w-full" aria-hidden>
      <rect x="0" y={stem} width={STEM} height={wide(paid)} fill="var(--color-woad)" rx="3" />
      {lacking && (
        <rect
          x="1"
          y={stem + wide(paid)}
          width={STEM - 2}
          height={wide(whole - paid)}
          fill="url(#striped)"
          stroke="var(--color-madder)"
          strokeDasharray="5 4"
        />
      )}
      <text x={STEM / 2} y={stem + wide(paid) / 2 + 5} textAnchor="middle" fontWeight="700" fill="#fff">
        {lacking ? 'paid' : 'sales'}
      </text>
      {flowing.map((part, i) => {
        const size = wide(part.amount.size ?? 0);
        const from = stem + (begins[i] ?? 0);
        const to = 8 + (begins[i] ?? 0) + i * GAP;
        const middle = (STEM + ENDS) / 2;
        const isLeft = part.name === 'left';
        return (
          <g key={part.name}>
            <path
              d={`M${STEM} ${from}C${middle} ${from} ${middle} ${to} ${ENDS} ${to}V${to + size}C${middle} ${to + size} ${middle} ${from + size} ${STEM} ${from + size}Z`}
              fill={
                isLeft ? 'var(--color-yellow)' : i % 2 ? 'var(--color-woad-mid)' : 'var(--color-woad-tint)'
              }
              stroke={isLeft ? 'var(--color-ink)' : 'var(--color-woad)'}
              strokeWidth={isLeft ? 1.4 : 0.7}
              strokeDasharray={isLeft ? '5 4' : undefined}
            />
            <text x={ENDS + 8} y={to + Math.max(size / 2, THIN) + 5} fontSize="14">
              {part.name} <tspan fontWeight="700">{part.amount.text}</tspan>
              <tspan fill="var(--color-soft)"> · {part.share}</tspan>
            </text>
          </g>
        );
      })}
    </svg>
  );
}
