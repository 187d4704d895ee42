import { useState } from 'react';
import {
  Bar,
  CartesianGrid,
  ComposedChart,
  Line,
  LineChart,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  XAxis,
  YAxis,
} from 'recharts';
import { SelectField } from '../../ui/Field';
import { cellOf, inCoins, type Chart } from './table';

const GRID = 'var(--color-line)';
const INK = 'var(--color-soft)';
const MARGIN = { left: -14, right: 8, top: 8 };

/** A month as it is read below an axis: its three letters, with the year where it begins. */
const short = (month: string) => month.replace(/ \d\d(\d\d)$/, (_, year: string) => ` ’${year}`);

/** What came in month by month, beside the year before. */
export function Months({ chart: { table } }: { chart: Chart }) {
  const rows = table.rows.map((row) => {
    const paid = cellOf(table, row, 'paid');
    const before = cellOf(table, row, 'paid a year before');
    return {
      month: short(cellOf(table, row, 'month').text),
      paid: (paid.size ?? 0) / inCoins(paid),
      before: (before.size ?? 0) / inCoins(before),
    };
  });
  return (
    <div aria-hidden>
      <div className="h-[230px]">
        <ResponsiveContainer>
          <ComposedChart accessibilityLayer={false} data={rows} margin={MARGIN}>
            <CartesianGrid stroke={GRID} vertical={false} />
            <XAxis dataKey="month" stroke={INK} fontSize={12} interval="preserveStartEnd" />
            <YAxis stroke={INK} fontSize={12} />
            <Bar dataKey="paid" fill="var(--color-woad)" isAnimationActive={false} radius={[2, 2, 0, 0]} />
            <Line
              dataKey="before"
              type="step"
              stroke="var(--color-weld)"
              strokeDasharray="5 4"
              strokeWidth={2}
              dot={false}
              isAnimationActive={false}
            />
          </ComposedChart>
        </ResponsiveContainer>
      </div>
      <p className="text-[13px] text-soft">Bars are these months; the dashed line is a year before.</p>
    </div>
  );
}

/** What a bag brought on average, month by month over two years. */
export function Prices({ chart: { table } }: { chart: Chart }) {
  const bags = [...new Set(table.rows.map((row) => cellOf(table, row, 'bag').text))];
  const [chosen, setChosen] = useState<string>();
  const months = (bag: string) => table.rows.filter((row) => cellOf(table, row, 'bag').text === bag).length;
  const usual = bags.reduce((most, bag) => (months(bag) > months(most) ? bag : most), bags[0] ?? '');
  const bag = chosen !== undefined && bags.includes(chosen) ? chosen : usual;
  const points = table.rows
    .filter((row) => cellOf(table, row, 'bag').text === bag)
    .map((row) => {
      const each = cellOf(table, row, 'brought each');
      return { month: short(cellOf(table, row, 'month').text), each: (each.size ?? 0) / inCoins(each) };
    });
  return (
    <>
      <div className="max-w-[280px]">
        <SelectField label="Bag" value={bag} onChange={(event) => setChosen(event.target.value)}>
          {bags.map((one) => (
            <option key={one}>{one}</option>
          ))}
        </SelectField>
      </div>
      <div className="h-[190px]" aria-hidden>
        <ResponsiveContainer>
          <LineChart accessibilityLayer={false} data={points} margin={MARGIN}>
            <CartesianGrid stroke={GRID} vertical={false} />
            <XAxis dataKey="month" stroke={INK} fontSize={12} minTickGap={24} />
            <YAxis stroke={INK} fontSize={12} domain={[0, 'auto']} />
            <Line
              dataKey="each"
              stroke="var(--color-woad)"
              strokeWidth={2.5}
              dot={{ r: 4, fill: 'var(--color-yellow)', stroke: 'var(--color-ink)' }}
              isAnimationActive={false}
            />
          </LineChart>
        </ResponsiveContainer>
      </div>
      <p className="text-[13px] text-soft" aria-hidden>
        What one brought on average in each month in which it was sold.
      </p>
    </>
  );
}

/** How much longer batches took than planned, one after the other. */
export function Times({ chart: { table } }: { chart: Chart }) {
  const points = table.rows.map((row, place) => ({
    place,
    day: cellOf(table, row, 'finished').text,
    beyond: cellOf(table, row, 'beyond').size ?? 0,
  }));
  const far = Math.max(20, ...points.map((point) => Math.abs(point.beyond)));
  return (
    <div aria-hidden>
      <div className="h-[190px]">
        <ResponsiveContainer>
          <ComposedChart accessibilityLayer={false} data={points} margin={MARGIN}>
            <CartesianGrid stroke={GRID} vertical={false} />
            <XAxis
              dataKey="place"
              type="number"
              domain={[-0.5, points.length - 0.5]}
              ticks={points.map((point) => point.place)}
              tickFormatter={(place: number) => points[place]?.day.replace(/ \d{4}$/, '') ?? ''}
              stroke={INK}
              fontSize={12}
              minTickGap={20}
            />
            <YAxis stroke={INK} fontSize={12} domain={[-far, far]} unit=" %" width={66} />
            <ReferenceLine y={0} stroke="var(--color-ink)" strokeWidth={1.5} />
            <ReferenceLine y={10} stroke="var(--color-weld)" strokeDasharray="5 4" />
            <ReferenceLine y={-10} stroke="var(--color-weld)" strokeDasharray="5 4" />
            <Scatter dataKey="beyond" fill="var(--color-woad)" isAnimationActive={false} />
          </ComposedChart>
        </ResponsiveContainer>
      </div>
      <p className="text-[13px] text-soft">
        Each dot is a batch; above the line it took longer than planned. Between the dashed lines is a tenth.
      </p>
    </div>
  );
}
