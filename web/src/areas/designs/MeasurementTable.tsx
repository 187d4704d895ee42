import type { Schemas } from '../../api/client';
import { useUnits } from '../../ui/units';

type Document = Schemas['DesignDocument'];
type Row = Schemas['MeasurementRow'];

/** Measurements in rows, sizes in columns; each field is read back in both units. */
export function MeasurementTable({
  document,
  sheet,
  onChange,
}: {
  document: Document;
  sheet: Schemas['DesignSheet'];
  onChange: (next: Partial<Document>) => void;
}) {
  const finished = document.measurements.filter((row) => row.kind === 'FINISHED');
  const allowances = document.measurements.filter((row) => row.kind === 'ALLOWANCE');
  const type = (row: Row, index: number, text: string) =>
    onChange({
      measurements: document.measurements.map((m) =>
        m.symbol === row.symbol ? { ...m, values: m.values.map((v, i) => (i === index ? text : v)) } : m,
      ),
    });
  return (
    <div className="grid gap-x-7 gap-y-3 md:grid-cols-[1.15fr_1fr]">
      <section aria-label="Finished measures">
        <h2 className="mb-1">What it shall measure</h2>
        <table className="w-full">
          <thead>
            <tr className="text-left text-[13px] text-soft">
              <th className="font-semibold">Finished</th>
              {document.sizes.map((size) => (
                <th key={size} className="px-1 font-semibold">
                  {size}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {finished.map((row) => (
              <tr key={row.symbol}>
                <th scope="row" className="py-0.5 pr-2 text-left font-normal">
                  {row.label}
                </th>
                {(row.values.length === 1 ? [0] : document.sizes.map((_, i) => i)).map((i) => (
                  <td
                    key={i}
                    className="px-1 py-0.5"
                    colSpan={row.values.length === 1 ? document.sizes.length : 1}
                  >
                    <Measure row={row} index={i} document={document} sheet={sheet} onType={type} />
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      <section aria-label="Allowances">
        <h2 className="mb-1">Seams and allowances, all sizes</h2>
        <div className="grid grid-cols-2 gap-x-4">
          {allowances.map((row) => (
            <div key={row.symbol} className="py-0.5">
              <div className="text-[13px] text-soft" aria-hidden>
                {row.label}
              </div>
              <Measure row={row} index={0} document={document} sheet={sheet} onType={type} />
            </div>
          ))}
        </div>
      </section>
    </div>
  );
}

function Measure({
  row,
  index,
  document,
  sheet,
  onType,
}: {
  row: Row;
  index: number;
  document: Document;
  sheet: Schemas['DesignSheet'];
  onType: (row: Row, index: number, text: string) => void;
}) {
  const units = useUnits();
  const size = sheet.sizes[index];
  const finding = size?.findings.find((f) => f.place === `measurements.${row.symbol}`);
  const refused = finding?.severity === 'REFUSED';
  const read = size?.measurements.find((m) => m.symbol === row.symbol)?.value;
  const label = row.values.length > 1 ? `${row.label}, ${document.sizes[index]}` : row.label;
  const id = `measure-${row.symbol}-${index}`;
  return (
    <div>
      <div className="relative">
        <input
          id={id}
          aria-label={label}
          aria-invalid={refused}
          aria-describedby={`${id}-says`}
          autoComplete="off"
          maxLength={500}
          className="field !min-h-10 pr-[74px]"
          value={row.values[index]}
          onChange={(event) => onType(row, index, event.target.value)}
        />
        {read && !refused && (
          <span className="pointer-events-none absolute inset-y-0 right-2 flex items-center text-[13px] text-soft">
            {units.other(read)}
          </span>
        )}
      </div>
      <div id={`${id}-says`} aria-live="polite" className="text-[13px] text-madder">
        {refused ? finding?.sentence : ''}
      </div>
    </div>
  );
}
