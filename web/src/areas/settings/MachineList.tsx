import { useFieldArray, type UseFormReturn } from 'react-hook-form';
import type { Schemas } from '../../api/client';
import { SelectField, TextField } from '../../ui/Field';

type Form = Schemas['SettingsForm'];
type Machine = Schemas['MachineForm'];

export const MACHINES: Partial<Record<Machine['kind'], string>> = {
  MACHINE: 'sewing machine',
  OVERLOCKER: 'overlocker',
  PRESS: 'iron or press',
  CUTTING_MACHINE: 'cutting machine',
  HAND_PRESS: 'hand press',
};

const ABILITIES = [
  ['zigzag', 'zigzag'],
  ['walkingFoot', 'walking foot'],
  ['freeArm', 'free arm'],
] as const;

const NEW: Machine = {
  name: '',
  kind: 'MACHINE',
  zigzag: true,
  walkingFoot: false,
  freeArm: false,
  thickest: '',
};

/** The maker's machines with what each can do. */
export function MachineList({
  form,
  on,
}: {
  form: UseFormReturn<Form>;
  on: (field: string) => string | undefined;
}) {
  const { register, control, watch } = form;
  const { fields, append, remove } = useFieldArray({ control, name: 'machines', keyName: 'row' });
  return (
    <div className="space-y-3">
      {fields.length === 0 && (
        <p className="text-soft">
          Nothing is said of your machines: whatever a step needs is taken to be there. With two machines,
          some changes of thread and needle vanish.
        </p>
      )}
      {fields.map((field, i) => (
        <div
          key={field.row}
          role="group"
          aria-label={`Machine ${i + 1}`}
          className="grid items-start gap-x-3 gap-y-1 border-b border-line-faint pb-3 md:grid-cols-[1.2fr_1fr_1fr_1.6fr_auto]"
        >
          <TextField label="Name" error={on(`machines.${i}.name`)} {...register(`machines.${i}.name`)} />
          <SelectField
            label="What it is"
            error={on(`machines.${i}.kind`)}
            {...register(`machines.${i}.kind`)}
          >
            {Object.entries(MACHINES).map(([kind, words]) => (
              <option key={kind} value={kind}>
                {words}
              </option>
            ))}
          </SelectField>
          {watch(`machines.${i}.kind`) === 'MACHINE' ? (
            <>
              <TextField
                label="Thickest seam"
                hint="empty for the usual"
                error={on(`machines.${i}.thickest`)}
                {...register(`machines.${i}.thickest`)}
              />
              <div className="flex flex-wrap gap-x-4 pt-6">
                {ABILITIES.map(([name, words]) => (
                  <label key={name} className="flex min-h-11 items-center gap-2">
                    <input
                      type="checkbox"
                      className="size-5 shrink-0"
                      {...register(`machines.${i}.${name}`)}
                    />
                    {words}
                  </label>
                ))}
              </div>
            </>
          ) : (
            <span className="md:col-span-2" />
          )}
          <button
            type="button"
            className="min-h-11 self-center px-2 font-semibold text-madder hover:underline"
            aria-label={`Remove machine ${i + 1}`}
            onClick={() => remove(i)}
          >
            Remove
          </button>
        </div>
      ))}
      <button
        type="button"
        className="min-h-11 font-semibold text-woad hover:underline"
        onClick={() => append(NEW)}
      >
        Add a machine
      </button>
    </div>
  );
}
