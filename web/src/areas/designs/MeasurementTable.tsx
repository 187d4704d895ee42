import { Popover } from 'radix-ui';
import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { TextField } from '../../ui/Field';
import { NameField } from '../../ui/NameField';
import { useUnits } from '../../ui/units';
import { freeKey, useEditing, useRename, without } from './editing';
import { Choice, PartHeading, Tick } from './fields';
import { PaperSays } from './PaperSays';
import { useWorked } from './Worked';
import { MEASURES } from './words';

type Row = Schemas['Measurement'];

/** What the bag shall measure, for each size, and what all sizes share. */
export function MeasurementTable() {
  const { document, change } = useEditing();
  const [added, setAdded] = useState<string>();
  const finished = document.measurements.filter((row) => row.kind === 'FINISHED');
  const others = document.measurements.filter((row) => row.kind !== 'FINISHED');
  const add = (kind: Row['kind']) => {
    const symbol = freeKey(
      'new',
      document.measurements.map((m) => m.symbol),
    );
    const values = kind === 'FINISHED' ? document.sizes.map(() => '0') : ['0'];
    const row: Row = { symbol, label: 'New measurement', kind, values, options: [] };
    change({ measurements: [...document.measurements, row] });
    setAdded(symbol);
  };
  return (
    <div className="grid gap-x-7 gap-y-3 lg:grid-cols-[1.15fr_1fr]">
      <section aria-label="Finished measures">
        <PartHeading title="What it shall measure" add="Add a measure" onAdd={() => add('FINISHED')} />
        <table className="w-full table-fixed">
          <thead>
            <tr className="text-left text-[13px] text-soft">
              <th className="w-[24%] font-semibold">Finished</th>
              {document.sizes.map((size) => (
                <th key={size} className="px-1 font-semibold">
                  {size}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {finished.map((row) => (
              <tr key={document.measurements.indexOf(row)}>
                <th scope="row" className="py-0.5 pr-2 text-left font-normal">
                  <RowDetails row={row} startsOpen={added === row.symbol} />
                  <PaperSays place={`measurements.${row.symbol}`} />
                </th>
                {(row.values.length === 1 ? [0] : document.sizes.map((_, i) => i)).map((i) => (
                  <td
                    key={i}
                    className="px-1 py-0.5 align-top"
                    colSpan={row.values.length === 1 ? document.sizes.length : 1}
                  >
                    <Measure row={row} index={i} />
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      <section aria-label="Allowances">
        <PartHeading title="Seams and allowances" add="Add an allowance" onAdd={() => add('ALLOWANCE')} />
        <div className="grid grid-cols-2 gap-x-4">
          {others.map((row) => (
            <div
              key={document.measurements.indexOf(row)}
              className={`py-0.5 ${row.values.length > 1 ? 'col-span-2' : ''}`}
            >
              <div className="text-[13px] text-soft">
                <RowDetails row={row} startsOpen={added === row.symbol} />
              </div>
              <PaperSays place={`measurements.${row.symbol}`} />
              <div
                className="grid gap-1"
                style={{ gridTemplateColumns: `repeat(${row.values.length}, minmax(0, 1fr))` }}
              >
                {row.values.map((_, i) => (
                  <Measure key={i} row={row} index={i} />
                ))}
              </div>
            </div>
          ))}
        </div>
      </section>
    </div>
  );
}

function useRow(symbol: string) {
  const { document, change } = useEditing();
  return (next: Partial<Row>) =>
    change({
      measurements: document.measurements.map((m) => (m.symbol === symbol ? { ...m, ...next } : m)),
    });
}

function Measure({ row, index }: { row: Row; index: number }) {
  const { document, sheet } = useEditing();
  const units = useUnits();
  const set = useRow(row.symbol);
  const size = sheet.sizes[index];
  const finding = size?.findings.find((f) => f.place === `measurements.${row.symbol}`);
  const refused = finding?.severity === 'REFUSED';
  const read = size?.measurements.find((m) => m.symbol === row.symbol);
  const label = row.values.length > 1 ? `${row.label}, ${document.sizes[index]}` : row.label;
  const id = `measure-${row.symbol}-${index}`;
  const type = (text: string) => set({ values: row.values.map((v, i) => (i === index ? text : v)) });
  const typed = row.values[index] ?? '';
  const shown = useWorked(label, typed, refused, size);
  const isMetric = /\d\s*(mm|cm|m)\b/i.test(typed) || (!units.isInch && !/in\b|"|yd|ft/i.test(typed));
  return (
    <div>
      <div className="relative">
        {row.kind === 'CHOICE' ? (
          <select
            id={id}
            aria-label={label}
            aria-invalid={refused}
            aria-describedby={`${id}-says`}
            className="field !min-h-10"
            value={row.values[index]}
            onChange={(event) => type(event.target.value)}
          >
            {row.options.map((option) => (
              <option key={option}>{option}</option>
            ))}
          </select>
        ) : (
          <input
            id={id}
            aria-label={label}
            aria-invalid={refused}
            aria-describedby={`${id}-says`}
            autoComplete="off"
            maxLength={1000}
            className={`field !min-h-10 ${read?.value ? (shown.how ? 'pr-[98px]' : 'pr-[74px]') : ''}`}
            value={shown.text}
            onBlur={shown.onLeave}
            onChange={(event) => {
              shown.onType();
              type(event.target.value);
            }}
          />
        )}
        {read?.value && !refused && (
          <span className="pointer-events-none absolute inset-y-1 right-2 flex items-center bg-white pl-1 text-[13px] text-soft">
            {shown.isValue
              ? units.other(read.value)
              : shown.comesTo
                ? shown.comesTo
                : isMetric
                  ? read.value.inch
                  : read.value.metric}
            {shown.how}
          </span>
        )}
      </div>
      <div id={`${id}-says`} aria-live="polite" className="text-[13px] text-madder">
        {refused ? finding?.sentence : ''}
      </div>
    </div>
  );
}

/** A row's label, which opens what can be changed about the row itself. */
function RowDetails({ row, startsOpen }: { row: Row; startsOpen: boolean }) {
  const { document, change } = useEditing();
  const set = useRow(row.symbol);
  const rename = useRename();
  const first = row.values[0] ?? '';
  return (
    <Popover.Root defaultOpen={startsOpen}>
      <Popover.Trigger
        className="min-h-6 text-left hover:text-woad hover:underline"
        aria-label={`${row.label}: change the row`}
      >
        {row.label}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          sideOffset={4}
          collisionPadding={12}
          aria-label={`The row ${row.label}`}
          className="sheet z-50 w-[340px] space-y-2 p-4 shadow-xl"
        >
          <TextField
            label="What it is"
            value={row.label}
            onChange={(event) => set({ label: event.target.value })}
          />
          <NameField
            label="Its name in formulas"
            maxLength={60}
            value={row.symbol}
            onName={(symbol) => rename('MEASUREMENT', row.symbol, symbol)}
          />
          <Choice
            label="Kind"
            value={row.kind}
            options={MEASURES}
            onChoose={(kind) => set({ kind, ...(kind === 'CHOICE' ? { options: ['one', 'other'] } : {}) })}
          />
          {row.kind === 'CHOICE' && (
            <TextField
              label="The ways, parted by commas"
              value={row.options.join(', ')}
              onChange={(event) => set({ options: event.target.value.split(',').map((o) => o.trim()) })}
            />
          )}
          <Tick
            label="The same for all sizes"
            checked={row.values.length === 1}
            onTick={(same) => set({ values: same ? [first] : document.sizes.map(() => first) })}
          />
          <button
            type="button"
            className="min-h-10 font-semibold text-madder hover:underline"
            onClick={() =>
              change({
                measurements: without(
                  document.measurements,
                  document.measurements.findIndex((m) => m.symbol === row.symbol),
                ),
              })
            }
          >
            Remove this row
          </button>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
