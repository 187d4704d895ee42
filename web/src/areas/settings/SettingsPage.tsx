import { useEffect, useMemo, type ReactNode } from 'react';
import { SCHOOLS } from '../materials/words';
import { useForm, useWatch } from 'react-hook-form';
import { Link } from 'react-router';
import { api, type Schemas } from '../../api/client';
import { useSettings } from '../../api/queries';
import { Button } from '../../ui/Button';
import { SelectField, TextField } from '../../ui/Field';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { rebased } from '../../ui/rebased';
import { useSend } from '../../ui/useSend';
import { useTitle } from '../../ui/useTitle';
import { BackupsPart } from './BackupsPart';
import { CarePart } from './CarePart';
import { DoorPart } from './DoorPart';
import { MachineList } from './MachineList';

type Form = Schemas['SettingsForm'];
const CHANGES = [
  ['needle', 'The needle', ''],
  ['thread', 'The thread', 'bobbin too, if nothing else is said'],
  ['bobbin', 'The bobbin alone', ''],
  ['foot', 'The foot', ''],
  ['stitch', 'The stitch', ''],
  ['dial', 'Length, width …', 'position, tension: each'],
  ['heat', 'The heat', 'until the press is hot or cool'],
  ['pressing', 'Press cloth, steam', ''],
  ['walk', 'Going elsewhere', 'table, press, machine'],
  ['turn', 'To the next machine', 'from one you sew at'],
] as const;

const A_DAY = [
  ['begins', 'Work begins at', '18:30, for instance'],
  ['atOneGo', 'At one go', 'minutes; 0 for no pauses'],
  ['pause', 'A pause', 'minutes'],
  ['preparing', 'Getting ready', 'minutes each day'],
  ['clearing', 'Clearing up', 'minutes each day'],
  ['people', 'Pairs of hands', '1 or 2'],
] as const;

const DAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];

export default function SettingsPage() {
  useTitle('Settings');
  const { data, error } = useSettings();
  if (error) return <ProblemNotice problem={error} />;
  if (!data) return <p className="text-soft">Opening the settings …</p>;
  return (
    <>
      <SettingsForm stored={data} />
      <BackupsPart />
      <DoorPart />
      <CarePart />
    </>
  );
}

/** How this browser writes decimals, as long as nobody has said it. */
const browsersMark = () =>
  new Intl.NumberFormat().formatToParts(1.5).some((part) => part.type === 'decimal' && part.value === ',')
    ? ('COMMA' as const)
    : ('POINT' as const);

function SettingsForm({ stored: kept }: { stored: Form }) {
  const stored = useMemo(
    () => (kept.version === 0 ? { ...kept, decimalMark: browsersMark() } : kept),
    [kept],
  );
  const form = useForm<Form>({ defaultValues: stored });
  const { register, reset, getValues, formState } = form;
  const save = useSend(
    (what: Form) => api.put<Form>('/api/settings', what),
    (saved, sent) => {
      const typedOn = rebased(saved, sent, getValues());
      reset(saved);
      reset(typedOn, { keepDefaultValues: true });
    },
  );
  const touched = formState.isDirty;
  useEffect(() => {
    if (!touched) reset(stored);
  }, [stored, touched, reset]);
  const on = (field: string) => save.problem?.on(field);
  const currency = useWatch({ control: form.control, name: 'currency' });
  return (
    <form
      noValidate
      className="max-w-[1180px]"
      onSubmit={form.handleSubmit((what) => {
        if (!save.isPending) save.mutate(what);
      })}
    >
      <header className="mb-4 flex items-center justify-between">
        <h1>Settings</h1>
        <Button type="submit" disabled={save.isPending}>
          Save
        </Button>
      </header>
      <div className="mb-3 empty:hidden">
        {save.problem && !save.problem.isClash && <ProblemNotice problem={save.problem} />}
        {save.problem?.isClash && (
          <Notice look="care">
            {save.problem.message} Saving again keeps what you typed.{' '}
            <button
              type="button"
              className="font-semibold underline"
              onClick={() => {
                const version = save.problem?.currentVersion ?? 0;
                save.reset();
                form.setValue('version', version, { shouldDirty: true });
              }}
            >
              Use mine
            </button>
          </Notice>
        )}
        {save.isSuccess && !touched && <Notice look="ok">Saved. Every figure follows.</Notice>}
      </div>
      <div className="grid gap-4 md:grid-cols-2 xl:grid-cols-4">
        <Group title="Measuring">
          <SelectField label="I measure in" {...register('unitSystem')}>
            <option value="INCH">inches</option>
            <option value="METRIC">centimetres</option>
          </SelectField>
          <SelectField label="My ruler shows" {...register('inchStep')}>
            <option value="EIGHTH">eighths of an inch</option>
            <option value="SIXTEENTH">sixteenths of an inch</option>
          </SelectField>
          <SelectField label="Decimals with" {...register('decimalMark')}>
            <option value="POINT">a point: 12.5</option>
            <option value="COMMA">a comma: 12,5</option>
          </SelectField>
          <TextField label="Usual seam allowance" error={on('usualSeam')} {...register('usualSeam')} />
          <TextField
            label="Thickest seam I can sew"
            error={on('thickestSeam')}
            {...register('thickestSeam')}
          />
        </Group>
        <Group title="Work">
          <TextField
            label="Currency"
            hint="Three letters, like EUR or USD."
            error={on('currency')}
            {...register('currency')}
          />
          <TextField
            label={`An hour of my work is worth (${currency})`}
            inputMode="decimal"
            error={on('hourlyRate')}
            {...register('hourlyRate')}
          />
          <TextField
            label={`Blades, thread, power, for an hour (${currency})`}
            inputMode="decimal"
            error={on('overheadPerHour')}
            {...register('overheadPerHour')}
          />
          <TextField
            label="Overheads besides, of material and labour (%)"
            inputMode="decimal"
            error={on('overheadShare')}
            {...register('overheadShare')}
          />
        </Group>
        <Group title="Prices">
          <p className="text-soft">
            How prices are worked out, and what each way of selling takes, is settled at{' '}
            <Link to="/prices" className="font-semibold text-woad hover:underline">
              Prices
            </Link>
            .
          </p>
        </Group>
      </div>
      <fieldset className="sheet mt-4 p-4">
        <legend className="float-left mb-2 w-full font-bold">The shelf</legend>
        <div className="clear-left grid items-start gap-3 md:grid-cols-4">
          <SelectField
            label="Material is worth"
            hint="Batches that are finished keep their cost."
            {...register('shelf.valueSchool')}
          >
            {Object.entries(SCHOOLS).map(([key, words]) => (
              <option key={key} value={key}>
                {words}
              </option>
            ))}
          </SelectField>
          <TextField
            label="I keep offcuts from"
            hint="the shorter side"
            error={on('shelf.offcutShort')}
            {...register('shelf.offcutShort')}
          />
          <TextField
            label="by"
            hint="the longer side"
            error={on('shelf.offcutLong')}
            {...register('shelf.offcutLong')}
          />
          <TextField
            label="Of small offcuts I use (%)"
            hint="so much of their worth counts for a layout"
            inputMode="numeric"
            error={on('shelf.useSmall')}
            {...register('shelf.useSmall')}
          />
          <TextField
            label="Of large ones (%)"
            hint="from a fat quarter on"
            inputMode="numeric"
            error={on('shelf.useLarge')}
            {...register('shelf.useLarge')}
          />
          <TextField
            label="I keep small ones for (days)"
            hint="then they may go into the scrap bag"
            inputMode="numeric"
            error={on('shelf.offcutDays')}
            {...register('shelf.offcutDays')}
          />
          <div>
            <label className="flex min-h-11 items-center gap-2 pt-5">
              <input type="checkbox" className="size-5 shrink-0" {...register('shelf.givenCostsNothing')} />
              What I was given costs nothing
            </label>
            <label className="flex min-h-11 items-center gap-2">
              <input type="checkbox" className="size-5 shrink-0" {...register('shelf.offcutsArePaid')} />
              Offcuts count as paid for
            </label>
          </div>
        </div>
      </fieldset>
      <fieldset className="sheet mt-4 p-4">
        <legend className="float-left mb-2 w-full font-bold">Several made together</legend>
        <div className="clear-left grid items-start gap-3 md:grid-cols-2">
          <SelectField
            label="What is set up once is shared"
            hint="threading, a needle, clearing up"
            {...register('setUps')}
          >
            <option value="BY_UNITS">by how many bags of each line</option>
            <option value="BY_MINUTES">by the minutes of each line</option>
          </SelectField>
          <SelectField
            label="Cloth that no piece is cut from is borne"
            hint="what is beside the pieces"
            {...register('waste')}
          >
            <option value="BY_STRIP">by the strip it lies in</option>
            <option value="BY_AREA">by all, by the area of their pieces</option>
          </SelectField>
        </div>
      </fieldset>
      <fieldset className="sheet mt-4 p-4">
        <legend className="float-left mb-2 w-full font-bold">Cutting</legend>
        <div className="clear-left grid items-start gap-3 md:grid-cols-4">
          <TextField
            label="Setting the ruler (seconds)"
            hint="to another height of strip"
            inputMode="numeric"
            error={on('cutting.rulerSeconds')}
            {...register('cutting.rulerSeconds')}
          />
          <TextField
            label="One cut (seconds)"
            hint="through all layers"
            inputMode="numeric"
            error={on('cutting.cutSeconds')}
            {...register('cutting.cutSeconds')}
          />
          <TextField
            label="Taking up a piece (seconds)"
            inputMode="numeric"
            error={on('cutting.pieceSeconds')}
            {...register('cutting.pieceSeconds')}
          />
          <TextField
            label="Squaring the end takes off"
            hint="0 if it is square"
            error={on('cutting.squaring')}
            {...register('cutting.squaring')}
          />
          <TextField
            label="Trimmed off the end of a trim"
            hint="zip tape, webbing, cord; 0 for nothing"
            error={on('cutting.endTrim')}
            {...register('cutting.endTrim')}
          />
          <TextField
            label="Left-overs of trim are kept from"
            hint="what is shorter is lost"
            error={on('cutting.keptLength')}
            {...register('cutting.keptLength')}
          />
          <TextField
            label="10 cm, or 4 in, of a curve (seconds)"
            hint="along a template, once the rectangle is cut"
            inputMode="numeric"
            error={on('cutting.curveSeconds')}
            {...register('cutting.curveSeconds')}
          />
          <label className="flex min-h-11 items-center gap-2.5 self-center">
            <input type="checkbox" className="size-5 shrink-0" {...register('cutting.curvesByScissors')} />
            curves are cut with scissors, one piece at a time
          </label>
        </div>
      </fieldset>
      <fieldset className="sheet mt-4 p-4">
        <legend className="float-left mb-2 w-full font-bold">
          Machines, what you have for them, and minutes to change it
        </legend>
        <div className="clear-left">
          <MachineList form={form} on={on} />
        </div>
        <div className="mt-2 grid items-start gap-3 md:grid-cols-2">
          <TextField
            label="Feet you have"
            hint="with commas between them; empty for all that a design asks for"
            error={on('equipment.feet')}
            {...register('equipment.feet')}
          />
          <TextField
            label="Needles you have"
            hint="80 universal, 90 topstitch …"
            error={on('equipment.needles')}
            {...register('equipment.needles')}
          />
        </div>
        <div className="mt-4 grid grid-cols-2 items-start gap-3 border-t border-line-faint pt-3 md:grid-cols-5">
          {CHANGES.map(([name, label, hint]) => (
            <TextField
              key={name}
              label={label}
              hint={hint}
              inputMode="decimal"
              error={on(`changes.${name}`)}
              {...register(`changes.${name}`)}
            />
          ))}
        </div>
      </fieldset>
      <fieldset className="sheet mt-4 p-4">
        <legend className="float-left mb-2 w-full font-bold">Hours free at the bench</legend>
        <div className="clear-left grid grid-cols-4 gap-3 md:grid-cols-7">
          {DAYS.map((name, i) => (
            <TextField
              key={name}
              label={name}
              inputMode="decimal"
              error={on(`freeHours.${i}`)}
              {...register(`freeHours.${i}` as const)}
            />
          ))}
        </div>
        <div className="mt-4 grid grid-cols-2 items-start gap-3 border-t border-line-faint pt-3 md:grid-cols-6">
          {A_DAY.map(([name, label, hint]) => (
            <TextField
              key={name}
              label={label}
              hint={hint}
              inputMode={name === 'begins' ? undefined : 'numeric'}
              error={on(`days.${name}`)}
              {...register(`days.${name}`)}
            />
          ))}
        </div>
      </fieldset>
    </form>
  );
}

function Group({ title, children }: { title: string; children: ReactNode }) {
  return (
    <fieldset className="sheet p-4">
      <legend className="float-left mb-2 w-full font-bold">{title}</legend>
      <div className="clear-left space-y-2.5">{children}</div>
    </fieldset>
  );
}
