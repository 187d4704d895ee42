import type { Schemas } from '../../api/client';
import { useMaterials } from '../../api/queries';
import { SelectField, TextField } from '../../ui/Field';
import { sides, useUnits } from '../../ui/units';
import { replaced, useEditing, without, type Document } from './editing';
import { PartHeading, RowButton } from './fields';

type Says = Schemas['PaperSays'];

/** A part of a design by the place that findings point at, and what it is called. */
interface Part {
  place: string;
  name: string;
}

/** What the pattern on paper says of a part, beside what is used here. */
export function PaperSays({ place }: { place: string }) {
  const { document } = useEditing();
  const said = (document.paper ?? []).filter((one) => one.place === place && one.says.trim() !== '');
  if (said.length === 0) return null;
  return (
    <p className="text-[13px] text-soft">
      The paper says: <span className="text-ink">{said.map((one) => one.says).join('; ')}</span>
    </p>
  );
}

/** All that was noted of the paper, each beside what is used here. */
export function PaperPart() {
  const { document, change } = useEditing();
  const used = useUsed();
  const parts = partsOf(document);
  const paper = document.paper ?? [];
  const set = (i: number, next: Partial<Says>) => change({ paper: replaced(paper, i, next) });
  return (
    <section className="mt-4 border-t border-line pt-3" aria-label="What the paper says">
      <PartHeading
        title="What the paper says"
        add="Note what a paper says"
        onAdd={() => change({ paper: [...paper, { place: parts[0]?.place ?? '', says: '' }] })}
      />
      <p className="mb-1 text-soft">
        What a pattern on paper asks for stays here, beside what you use: its seam, its interfacing, its
        order.
      </p>
      {paper.map((one, i) => {
        const isThere = parts.some((part) => part.place === one.place);
        return (
          <div key={i} className="grid grid-cols-[1fr_1.4fr_1fr_auto] items-end gap-2 py-0.5">
            <SelectField
              label="Of"
              value={one.place}
              onChange={(event) => set(i, { place: event.target.value })}
            >
              {!isThere && <option value={one.place}>something that isn’t there any more</option>}
              {parts.map((part) => (
                <option key={part.place} value={part.place}>
                  {part.name}
                </option>
              ))}
            </SelectField>
            <TextField
              label="The paper says"
              maxLength={300}
              value={one.says}
              onChange={(event) => set(i, { says: event.target.value })}
            />
            <div className="pb-2.5">
              <div className="text-[13px] font-semibold text-soft">Here</div>
              {used(one.place) || '–'}
            </div>
            <RowButton
              label={`Remove what the paper says of ${parts.find((part) => part.place === one.place)?.name ?? 'it'}`}
              onPress={() => change({ paper: without(paper, i) })}
            >
              ×
            </RowButton>
          </div>
        );
      })}
    </section>
  );
}

/** All parts of a design of which a paper may say something. */
function partsOf(document: Document): Part[] {
  return [
    ...document.measurements.map((one) => ({
      place: `measurements.${one.symbol}`,
      name: one.label || one.symbol,
    })),
    ...document.slots.map((one) => ({ place: `slots.${one.key}`, name: one.label })),
    ...document.pieces.map((one) => ({ place: `pieces.${one.letter}`, name: `${one.letter} ${one.name}` })),
    ...document.trims.map((one) => ({ place: `trims.${one.letter}`, name: `${one.letter} ${one.name}` })),
    ...document.steps.map((one) => ({ place: `steps.${one.key}`, name: one.name })),
  ];
}

/** What is used here for a part, as it is read. */
function useUsed() {
  const { document, shown } = useEditing();
  const { data: materials } = useMaterials();
  const units = useUnits();
  return (place: string) => {
    const [list = '', ...rest] = place.split('.');
    const key = rest.join('.');
    switch (list) {
      case 'measurements': {
        const row = document.measurements.find((one) => one.symbol === key);
        const index = Math.max(0, document.sizes.indexOf(shown?.size ?? ''));
        return row ? (row.values[row.values.length === 1 ? 0 : index] ?? '') : '';
      }
      case 'slots': {
        const slot = document.slots.find((one) => one.key === key);
        return materials?.items.find((one) => one.id === slot?.materialId)?.name ?? '';
      }
      case 'pieces': {
        const piece = shown?.pieces.find((one) => one.letter === key);
        return piece
          ? `${piece.count} of ${sides(units.own(piece.width.value), units.own(piece.height.value))}`
          : '';
      }
      case 'trims': {
        const trim = document.trims.find((one) => one.letter === key);
        return trim ? `${trim.quantity} of ${trim.length}` : '';
      }
      default: {
        const step = document.steps.find((one) => one.key === key);
        return step
          ? [`${step.minutesPerUnit} min`, step.needle, step.stitch].filter(Boolean).join(', ')
          : '';
      }
    }
  };
}
