import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { useMaterials, useSlotMaterials } from '../../api/queries';
import { SelectField, TextField } from '../../ui/Field';
import { day, useUnits } from '../../ui/units';

type Form = Schemas['BatchForm'];

/** What is to be decided for a batch: size, cloths, for when. The usual materials stand there already. */
export function BatchChoices({
  form,
  design,
  designs,
  fairs,
  canChangeDesign,
  onDesign,
  onChange,
}: {
  form: Form;
  design: Schemas['DesignView'];
  designs: Schemas['DesignName'][];
  fairs: Schemas['FairView'][];
  canChangeDesign: boolean;
  onDesign: (id: number) => void;
  onChange: (next: Partial<Form>) => void;
}) {
  const { data: materials } = useMaterials();
  const serving = useSlotMaterials(design.document);
  const units = useUnits();
  const slots = design.document.slots;
  const unfilled = slots.some((slot) => !form.materials.some((choice) => choice.slot === slot.key));
  const [more, setMore] = useState(unfilled);
  const choose = (slot: string, materialId: string) =>
    onChange({
      materials: [
        ...form.materials.filter((choice) => choice.slot !== slot),
        ...(materialId ? [{ slot, materialId: Number(materialId) }] : []),
      ],
    });
  const chosen = (slot: string) => form.materials.find((choice) => choice.slot === slot)?.materialId;
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
    <section className="sheet no-print p-3" aria-label="Choices">
      <div className="grid grid-cols-2 gap-3 md:grid-cols-4">
        {canChangeDesign && designs.length > 1 && (
          <SelectField
            label="Design"
            value={design.id}
            onChange={(event) => onDesign(Number(event.target.value))}
          >
            {designs.map((line) => (
              <option key={line.id} value={line.id}>
                {line.name}
              </option>
            ))}
          </SelectField>
        )}
        <SelectField
          label="Size"
          value={form.sizeName}
          onChange={(event) => onChange({ sizeName: event.target.value })}
        >
          {design.document.sizes.map((size) => (
            <option key={size}>{size}</option>
          ))}
        </SelectField>
        <TextField
          label="For"
          list="fairs"
          maxLength={120}
          value={form.forWhat}
          onChange={(event) => {
            const fair = fairs.find((f) => f.name === event.target.value);
            onChange({ forWhat: event.target.value, ...(fair ? { dueOn: fair.heldOn } : {}) });
          }}
        />
        <datalist id="fairs">
          {fairs.map((fair) => (
            <option key={fair.id} value={fair.name}>
              {day(fair.heldOn)}
            </option>
          ))}
        </datalist>
        <TextField
          label="Wanted by"
          type="date"
          value={form.dueOn ?? ''}
          onChange={(event) => onChange({ dueOn: event.target.value || undefined })}
        />
      </div>
      <div className="mt-3 grid grid-cols-2 gap-3">{slots.slice(0, 2).map(slotField)}</div>
      {slots.length > 2 && (
        <details className="mt-2" open={more} onToggle={(event) => setMore(event.currentTarget.open)}>
          <summary className="cursor-pointer py-1 font-semibold text-woad">Further materials</summary>
          <div className="mt-1 grid grid-cols-2 gap-3">{slots.slice(2).map(slotField)}</div>
        </details>
      )}
    </section>
  );
}
