import { useState, type ReactNode } from 'react';
import type { Schemas } from '../../api/client';
import { useMaterials, useSlotMaterials } from '../../api/queries';
import { SelectField, TextField } from '../../ui/Field';
import { useUnits } from '../../ui/units';
import type { LineForm } from './grid';

type Picked = Pick<LineForm, 'materials' | 'picks'>;

/** The design with what was picked for a line as its usual, so that what follows from it is that of the line. */
function picked(document: Schemas['DesignDocument'], picks: LineForm['picks']): Schemas['DesignDocument'] {
  return {
    ...document,
    openChoices: document.openChoices?.map((choice) => ({
      ...choice,
      usual: picks?.find((pick) => pick.choice === choice.key)?.alternative ?? choice.usual,
    })),
  };
}

/** What the design leaves open, to be chosen for a line. */
function OpenChoices({
  document,
  picks = [],
  onChange,
}: {
  document: Schemas['DesignDocument'];
  picks: LineForm['picks'];
  onChange: (picks: LineForm['picks']) => void;
}) {
  return document.openChoices?.map((choice) => (
    <SelectField
      key={choice.key}
      label={choice.name}
      value={picks.find((pick) => pick.choice === choice.key)?.alternative ?? choice.usual}
      onChange={(event) =>
        onChange([
          ...picks.filter((pick) => pick.choice !== choice.key),
          { choice: choice.key, alternative: event.target.value },
        ])
      }
    >
      {choice.alternatives.map((one) => (
        <option key={one.key} value={one.key}>
          {one.name}
          {one.key === choice.usual ? ' (usual)' : ''}
        </option>
      ))}
    </SelectField>
  ));
}

/** How a line is made where its design leaves that open, and which materials it is made of. The usual ones stand there already. */
export function SlotFields({
  line,
  document,
  first = 2,
  onChange,
}: {
  line: Picked;
  document: Schemas['DesignDocument'];
  /** So many stand there at once, the others under “Further materials”. */
  first?: number;
  onChange: (next: Partial<Picked>) => void;
}) {
  const { data: materials } = useMaterials();
  const { serving, asked } = useSlotMaterials(picked(document, line.picks));
  const units = useUnits();
  const slots = document.slots.filter((slot) => asked(slot.key));
  const unfilled = slots.some((slot) => !line.materials.some((choice) => choice.slot === slot.key));
  const [more, setMore] = useState(unfilled);
  const choose = (slot: string, materialId: string) =>
    onChange({
      materials: [
        ...line.materials.filter((choice) => choice.slot !== slot),
        ...(materialId ? [{ slot, materialId: Number(materialId) }] : []),
      ],
    });
  const chosen = (slot: string) => line.materials.find((choice) => choice.slot === slot)?.materialId;
  const slotField = (slot: Schemas['SlotRow']) => (
    <SelectField
      key={slot.key}
      label={slot.label}
      value={chosen(slot.key) ?? ''}
      onChange={(event) => choose(slot.key, event.target.value)}
    >
      <option value="">choose …</option>
      {materials?.items
        .filter((material) => serving(slot.key).includes(material.id) || material.id === chosen(slot.key))
        .map((material) => (
          <option key={material.id} value={material.id}>
            {material.name} · {units.amount(material.onHand)}
          </option>
        ))}
    </SelectField>
  );
  return (
    <>
      {document.openChoices && document.openChoices.length > 0 && (
        <div
          className="mt-3 grid grid-cols-2 gap-3 md:grid-cols-4"
          role="group"
          aria-label="What is left open"
        >
          <OpenChoices document={document} picks={line.picks} onChange={(picks) => onChange({ picks })} />
        </div>
      )}
      <div className="mt-3 grid grid-cols-2 gap-3">{slots.slice(0, first).map(slotField)}</div>
      {slots.length > first && (
        <details className="mt-2" open={more} onToggle={(event) => setMore(event.currentTarget.open)}>
          <summary className="cursor-pointer py-1 font-semibold text-woad">Further materials</summary>
          <div className="mt-1 grid grid-cols-2 gap-3">{slots.slice(first).map(slotField)}</div>
        </details>
      )}
    </>
  );
}

/** One line of several in detail: other materials, its own price, and how many are begun. */
export function LineDetail({
  line,
  document,
  name,
  problem,
  onChange,
  children,
}: {
  line: LineForm;
  document: Schemas['DesignDocument'];
  name: string;
  children?: ReactNode;
  problem: (field: string) => string | undefined;
  onChange: (next: Partial<LineForm>) => void;
}) {
  return (
    <section className="sheet no-print p-3" aria-label={`Line: ${name}`}>
      <h2>{name}</h2>
      <SlotFields key={`${line.designId}`} line={line} document={document} first={4} onChange={onChange} />
      <div className="mt-3 grid grid-cols-2 gap-3">
        <TextField
          label="Begin more than are wanted"
          inputMode="numeric"
          placeholder={line.units}
          hint="As many as may be spoiled."
          error={problem('started')}
          value={line.started ?? ''}
          onChange={(event) => onChange({ started: event.target.value || undefined })}
        />
        <TextField
          label="My own price at the stall"
          inputMode="decimal"
          placeholder="as worked out"
          error={problem('ownPrice')}
          value={line.ownPrice}
          onChange={(event) => onChange({ ownPrice: event.target.value })}
        />
      </div>
      {children}
    </section>
  );
}
