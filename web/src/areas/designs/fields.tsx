import { useId, useState, type InputHTMLAttributes, type ReactNode } from 'react';
import type { Schemas } from '../../api/client';
import { useMaterials, useSlotMaterials } from '../../api/queries';
import { Button } from '../../ui/Button';
import { SelectField, TextField } from '../../ui/Field';
import { Panel } from '../../ui/Panel';
import { newSlot, replaced, useEditing, useFindings } from './editing';
import { FormulaInput } from './FormulaInput';
import { useWorked } from './Worked';
import { MATERIALS } from './words';

type SlotKind = Schemas['SlotRow']['kind'];

/**
 * A field of the design whose value may be a formula: shows what it comes to, and the formula to whoever asks. What is wrong with it
 * stands below.
 */
export function FormulaField({
  label,
  place,
  value,
  onType,
  hideLabel,
  hint,
  comesTo,
  inSize,
  ...rest
}: {
  label: string;
  /** Where its findings point at; empty if none can. */
  place: string;
  value: string;
  onType: (text: string) => void;
  hideLabel?: boolean;
  hint?: ReactNode;
  /** What is made of the formula's value where that isn't the value itself. */
  comesTo?: Schemas['LengthView'];
  /** The size that it belongs to; the shown one where none is named. */
  inSize?: Schemas['SizeSheet'];
} & Omit<InputHTMLAttributes<HTMLInputElement>, 'value' | 'onChange'>) {
  const id = useId();
  const { shown } = useEditing();
  const finding = useFindings(place).find((f) => f.severity === 'REFUSED');
  const worked = useWorked(label, value, !!finding, inSize ?? shown, place, comesTo);
  return (
    <div>
      <label
        htmlFor={id}
        className={hideLabel ? 'sr-only' : 'mb-1 block text-[13px] font-semibold text-soft'}
      >
        {label}
      </label>
      <div className="relative">
        <FormulaInput
          id={id}
          aria-invalid={!!finding}
          aria-describedby={`${id}-says`}
          value={worked.text}
          onType={(text) => {
            worked.onType();
            onType(text);
          }}
          {...rest}
          className={`field ${worked.how ? 'pr-[34px]' : ''}`}
          onBlur={(event) => {
            worked.onLeave();
            rest.onBlur?.(event);
          }}
        />
        {worked.how && (
          <span className="pointer-events-none absolute inset-y-1 right-1 flex items-center">
            {worked.how}
          </span>
        )}
      </div>
      <div
        id={`${id}-says`}
        aria-live="polite"
        className={`text-[13px] not-empty:mt-1.5 ${finding ? 'text-madder' : 'text-soft'}`}
      >
        {finding?.sentence ?? (
          <>
            {worked.comesTo}
            {worked.comesTo && hint ? ' · ' : ''}
            {hint}
          </>
        )}
      </div>
    </div>
  );
}

/** A choice among words. */
export function Choice<T extends string>({
  label,
  value,
  options,
  onChoose,
  hideLabel,
  hint,
}: {
  label: string;
  value: T;
  options: Record<T, string>;
  onChoose: (value: T) => void;
  hideLabel?: boolean;
  hint?: ReactNode;
}) {
  return (
    <SelectField
      label={label}
      hideLabel={hideLabel}
      hint={hint}
      value={value}
      onChange={(event) => onChoose(event.target.value as T)}
    >
      {Object.entries(options).map(([key, words]) => (
        <option key={key} value={key}>
          {words as string}
        </option>
      ))}
    </SelectField>
  );
}

/** A choice of one of the design's pieces and panels, or of none. */
export function LetterChoice({
  label,
  value,
  onChoose,
  none = 'none',
  among = 'cloth',
}: {
  label: string;
  value: string;
  onChoose: (letter: string) => void;
  none?: string;
  among?: 'cloth' | 'trims' | 'all';
}) {
  const { document } = useEditing();
  const cloth = [...document.pieces, ...document.panels];
  const items =
    among === 'cloth' ? cloth : among === 'trims' ? document.trims : [...cloth, ...document.trims];
  return (
    <SelectField label={label} value={value} onChange={(event) => onChoose(event.target.value)}>
      <option value="">{none}</option>
      {items.map((item) => (
        <option key={item.letter} value={item.letter}>
          {item.letter} · {item.name}
        </option>
      ))}
    </SelectField>
  );
}

/** The choice that asks for a material which the design didn't ask for yet. */
const ANOTHER = ' another';

/** A choice of one of the design's slots of the given kinds, or of a new one. */
export function SlotChoice({
  label,
  value,
  kinds,
  onChoose,
  hideLabel,
}: {
  label: string;
  value: string;
  kinds: SlotKind[];
  onChoose: (slot: string) => void;
  hideLabel?: boolean;
}) {
  const { document } = useEditing();
  const [asking, setAsking] = useState(false);
  const slots = document.slots.filter((slot) => kinds.includes(slot.kind));
  return (
    <>
      <SelectField
        label={label}
        hideLabel={hideLabel}
        value={value}
        onChange={(event) =>
          event.target.value === ANOTHER ? setAsking(true) : onChoose(event.target.value)
        }
      >
        {!slots.some((slot) => slot.key === value) && <option value={value}>{value || 'choose …'}</option>}
        {slots.map((slot) => (
          <option key={slot.key} value={slot.key}>
            {slot.label}
          </option>
        ))}
        <option value={ANOTHER}>another material …</option>
      </SelectField>
      {asking && <SlotPanel kinds={kinds} onAsked={onChoose} onClose={() => setAsking(false)} />}
    </>
  );
}

/** Asks for one more material of a design, where it is needed. */
function SlotPanel({
  kinds,
  onAsked,
  onClose,
}: {
  kinds: SlotKind[];
  onAsked: (slot: string) => void;
  onClose: () => void;
}) {
  const { document, change } = useEditing();
  const { data } = useMaterials();
  const [kind, setKind] = useState(kinds[0] as SlotKind);
  const [label, setLabel] = useState('');
  const [material, setMaterial] = useState('');
  const name = label.trim();
  return (
    <Panel title="Another material" open onOpenChange={(open) => !open && onClose()}>
      <form
        noValidate
        className="space-y-3"
        onSubmit={(event) => {
          event.preventDefault();
          event.stopPropagation();
          if (!name) return;
          const slot = newSlot(document.slots, kind, name, material ? Number(material) : undefined);
          change({ slots: [...document.slots, slot] });
          onAsked(slot.key);
          onClose();
        }}
      >
        <TextField
          label="What is asked for"
          placeholder="contrast cloth, second zip …"
          maxLength={80}
          value={label}
          onChange={(event) => setLabel(event.target.value)}
        />
        {kinds.length > 1 && (
          <Choice
            label="Kind"
            value={kind}
            options={
              Object.fromEntries(kinds.map((one) => [one, MATERIALS[one]])) as Record<SlotKind, string>
            }
            onChoose={(next) => {
              setKind(next);
              setMaterial('');
            }}
          />
        )}
        <SelectField
          label="Usually"
          hint="From the shelf; it can be chosen later, and each batch may take another."
          value={material}
          onChange={(event) => setMaterial(event.target.value)}
        >
          <option value="">not chosen</option>
          {data?.items
            .filter(
              (one) => (one.kind === kind || (kind === 'CLOTH' && one.kind === 'SHEET')) && !one.putAway,
            )
            .map((one) => (
              <option key={one.id} value={one.id}>
                {one.name}
              </option>
            ))}
        </SelectField>
        <Button type="submit" disabled={!name}>
          Ask for it
        </Button>
      </form>
    </Panel>
  );
}

export function Tick({
  label,
  checked,
  onTick,
}: {
  label: string;
  checked: boolean;
  onTick: (checked: boolean) => void;
}) {
  return (
    <label className="flex min-h-10 items-center gap-2">
      <input
        type="checkbox"
        className="size-5 shrink-0"
        checked={checked}
        onChange={(event) => onTick(event.target.checked)}
      />
      {label}
    </label>
  );
}

/** Small buttons at the end of a row. */
export function RowButton({
  label,
  onPress,
  children,
  disabled,
}: {
  label: string;
  onPress: () => void;
  children: ReactNode;
  disabled?: boolean;
}) {
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      disabled={disabled}
      onClick={onPress}
      className="min-h-9 min-w-9 rounded px-2 font-semibold text-woad hover:bg-woad-tint disabled:opacity-40"
    >
      {children}
    </button>
  );
}

/** Two sheets, one on the other: copies a row. */
export function CopyMark() {
  return (
    <svg viewBox="0 0 16 16" className="inline size-4" fill="none" stroke="currentColor" aria-hidden>
      <path d="M5.5 5.5h8v8h-8zM10.5 5V2.5h-8v8H5" strokeWidth="1.5" />
    </svg>
  );
}

/** A heading of a part with the button that adds to it. */
export function PartHeading({ title, add, onAdd }: { title: string; add?: string; onAdd?: () => void }) {
  return (
    <div className="mt-4 mb-1 flex items-center justify-between gap-3 first:mt-0">
      <h2>{title}</h2>
      {add && (
        <button
          type="button"
          className="min-h-9 px-2 font-semibold text-woad hover:underline"
          onClick={onAdd}
        >
          {add}
        </button>
      )}
    </div>
  );
}

/** What usually fills a slot of the design, from the shelf. */
export function SlotMaterial({ slotKey }: { slotKey: string }) {
  const { document, change } = useEditing();
  const { data } = useMaterials();
  const { serving } = useSlotMaterials(document);
  const at = document.slots.findIndex(({ key }) => key === slotKey);
  const slot = document.slots[at];
  if (!slot) return null;
  return (
    <SelectField
      label={slot.label}
      value={slot.materialId ?? ''}
      onChange={(event) =>
        change({
          slots: replaced(document.slots, at, {
            materialId: event.target.value ? Number(event.target.value) : undefined,
          }),
        })
      }
    >
      <option value="">not chosen</option>
      {data?.items
        .filter((material) => serving(slot.key).includes(material.id) || material.id === slot.materialId)
        .map((material) => (
          <option key={material.id} value={material.id}>
            {material.name}
          </option>
        ))}
    </SelectField>
  );
}
