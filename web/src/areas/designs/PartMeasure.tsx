import { TextField } from '../../ui/Field';
import { useUnits } from '../../ui/units';
import { replaced, useEditing, useFindings } from './editing';
import { useWorked } from './Worked';

/** A measurement of the design in the size that is shown; all sizes of it stand among the measurements. */
export function PartMeasure({ symbol }: { symbol: string }) {
  const { document, shown, change } = useEditing();
  const units = useUnits();
  const at = document.measurements.findIndex((row) => row.symbol === symbol);
  const row = document.measurements[at];
  const finding = useFindings(`measurements.${symbol}`).find(({ severity }) => severity === 'REFUSED');
  const read = shown?.measurements.find((measured) => measured.symbol === symbol);
  const isOne = row?.values.length === 1;
  const place = isOne ? 0 : document.sizes.indexOf(shown?.size ?? '');
  const label = isOne ? row.label : `${row?.label}, ${shown?.size}`;
  const worked = useWorked(label, row?.values[place] ?? '', !!finding, shown);
  if (!row) return null;
  return (
    <TextField
      label={label}
      value={worked.text}
      maxLength={1000}
      error={finding?.sentence}
      hint={
        read?.value ? (
          <>
            {worked.isValue ? '' : `${units.own(read.value)} · `}
            {units.other(read.value)} {worked.how}
          </>
        ) : (
          read?.text
        )
      }
      onBlur={worked.onLeave}
      onChange={(event) => {
        worked.onType();
        change({
          measurements: replaced(document.measurements, at, {
            values: row.values.map((value, i) => (i === place ? event.target.value : value)),
          }),
        });
      }}
    />
  );
}
