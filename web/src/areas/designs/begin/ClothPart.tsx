import { useState } from 'react';
import { api, type Schemas } from '../../../api/client';
import { useMaterials } from '../../../api/queries';
import { Button } from '../../../ui/Button';
import { SelectField, TextField } from '../../../ui/Field';
import { ProblemNotice } from '../../../ui/Notice';
import { useUnits } from '../../../ui/units';
import { useRequestId, useSend } from '../../../ui/useSend';

type Slot = Schemas['SlotView'];

const NEW = 'new';

/** What a colour begins with, by what a slot is usually called. */
const COLOURS: Record<string, string> = {
  outer: '#5b7f8c',
  lining: '#d9b36c',
  accent: '#b4664f',
  zip: '#45525a',
  strap: '#8a6a4a',
};

/** What it is made of: from the shelf, or named with its price until it is bought. */
export function ClothPart({
  slots,
  chosen,
  onChoose,
}: {
  slots: Slot[];
  chosen: Record<string, number>;
  onChoose: (slot: string, materialId: number | undefined) => void;
}) {
  const { data } = useMaterials();
  return (
    <section className="sheet p-4" aria-label="In which cloth?">
      <h2>In which cloth?</h2>
      <p className="text-soft">
        From your shelf, or something that you will buy: name it with its price, and it has a place on the
        shelf, with nothing there yet.
      </p>
      <div className="mt-2 divide-y divide-line">
        {data &&
          slots.map((slot) => (
            <SlotRow
              key={slot.slot}
              slot={slot}
              materials={data.items}
              materialId={chosen[slot.slot]}
              onChoose={(materialId) => onChoose(slot.slot, materialId)}
            />
          ))}
      </div>
    </section>
  );
}

function SlotRow({
  slot,
  materials,
  materialId,
  onChoose,
}: {
  slot: Slot;
  materials: Schemas['MaterialView'][];
  materialId: number | undefined;
  onChoose: (materialId: number | undefined) => void;
}) {
  const serving = materials.filter(({ id }) => slot.serving.includes(id) || id === materialId);
  // What is being named stays open, also when something else that would serve is added meanwhile.
  const [naming, setNaming] = useState(serving.length === 0);
  const open = materialId === undefined && naming;
  return (
    <div className="py-2">
      <div className="grid items-start gap-3 md:grid-cols-[1fr_1.4fr]">
        <SelectField
          label={slot.label}
          value={open ? NEW : (materialId ?? '')}
          onChange={(event) => {
            setNaming(event.target.value === NEW);
            onChoose(
              event.target.value && event.target.value !== NEW ? Number(event.target.value) : undefined,
            );
          }}
        >
          <option value="">not chosen yet</option>
          {serving.map((material) => (
            <option key={material.id} value={material.id}>
              {material.name}
            </option>
          ))}
          <option value={NEW}>something I’ll buy …</option>
        </SelectField>
        {open && <Named key={slot.slot} slot={slot} onNamed={onChoose} />}
      </div>
    </div>
  );
}

/** A material that isn't there yet, by its name and what it costs. */
function Named({ slot, onNamed }: { slot: Slot; onNamed: (materialId: number) => void }) {
  const units = useUnits();
  const request = useRequestId();
  const isCloth = slot.kind === 'CLOTH' || slot.kind === 'SHEET';
  const [name, setName] = useState(slot.label);
  const [price, setPrice] = useState('');
  const [colour, setColour] = useState(COLOURS[slot.slot] ?? '#8d9aa0');
  const [print, setPrint] = useState<Schemas['NamedMaterial']['print']>('PLAIN');
  const add = useSend(
    () =>
      api.post<Schemas['MaterialView']>('/api/materials/named', {
        requestId: request.id,
        kind: slot.kind,
        cloth: slot.cloth,
        ware: slot.ware,
        name,
        price,
        colour,
        print,
      }),
    (material) => onNamed(material.id),
  );
  const send = () => {
    if (!add.isPending) add.mutate(undefined);
  };
  const onEnter = (event: React.KeyboardEvent) => {
    if (event.key === 'Enter') {
      event.preventDefault();
      send();
    }
  };
  return (
    <div role="group" aria-label={`${slot.label}, to buy`}>
      <div className="grid grid-cols-[1.5fr_1fr_auto] items-start gap-2" onKeyDown={onEnter}>
        <TextField
          label="Called"
          value={name}
          maxLength={120}
          error={add.problem?.on('name')}
          onChange={(event) => setName(event.target.value)}
        />
        <TextField
          label={`Price for ${slot.per}`}
          value={price}
          inputMode="decimal"
          error={add.problem?.on('price')}
          hint={slot.width ? `${slot.width} wide` : units.currency}
          onChange={(event) => setPrice(event.target.value)}
        />
        <div className="pt-[22px]">
          <Button type="button" look="quiet" disabled={add.isPending} onClick={send}>
            Add
          </Button>
        </div>
      </div>
      {isCloth && slot.cloth !== 'FUSIBLE' && slot.cloth !== 'BATTING' && slot.cloth !== 'FOAM' && (
        <div className="mt-1 flex items-center gap-3 text-[14px] text-soft">
          <label className="flex items-center gap-1.5">
            Colour
            <input
              type="color"
              className="h-8 w-10 rounded border border-line-strong bg-white"
              value={colour}
              onChange={(event) => setColour(event.target.value)}
            />
          </label>
          <label className="flex items-center gap-1.5">
            Print
            <select
              className="field min-h-8 py-0.5"
              value={print}
              onChange={(event) => setPrint(event.target.value as typeof print)}
            >
              <option value="PLAIN">plain</option>
              <option value="DOTS">dots</option>
              <option value="STRIPES">stripes</option>
              <option value="CHECKS">checks</option>
              <option value="FLORAL">flowers</option>
              <option value="TEXTURE">texture</option>
            </select>
          </label>
        </div>
      )}
      {add.problem && !add.problem.on('name') && !add.problem.on('price') && (
        <ProblemNotice problem={add.problem} />
      )}
    </div>
  );
}
