import { useQueryClient } from '@tanstack/react-query';
import { api, type Schemas } from '../../api/client';
import { keys, useChannels, useToday } from '../../api/queries';
import { Button } from '../../ui/Button';
import { SelectField, TextField } from '../../ui/Field';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { useDraft } from '../../ui/useDraft';
import { useSend } from '../../ui/useSend';
import { useUnits } from '../../ui/units';
import { WorkedFigure } from '../../ui/WorkedFigure';
import { DaySeen } from './DaySeen';
import { STATES } from './states';

type Form = Schemas['FairForm'];
type TextKey = { [Key in keyof Form]: Form[Key] extends string ? Key : never }[keyof Form];

/** What is known of a fair, as it is typed. */
export function FactsPart({ fair }: { fair: Schemas['FairView'] }) {
  const draft = useDraft<Form>(`mardun.fair.${fair.id}`, fair.form);
  const client = useQueryClient();
  const { data: channels } = useChannels();
  const today = useToday();
  const { currency, small } = useUnits();
  const form = draft.value ?? fair.form;
  const save = useSend(
    ({ typed, version }: { typed: Form; version: number }) =>
      api.put<Schemas['FairView']>(`/api/fairs/${fair.id}`, { ...typed, version }),
    (saved, { typed }) => {
      client.setQueryData([...keys.fairs, fair.id], saved);
      draft.saved(typed, saved.form);
    },
  );
  const on = (field: keyof Form) => save.problem?.on(field);
  const set = (changed: Partial<Form>) => draft.update((before) => ({ ...before, ...changed }));
  const text = (
    key: Extract<TextKey, string>,
    label: string,
    more: { hint?: string; numeric?: boolean } = {},
  ) => (
    <TextField
      label={label}
      value={form[key]}
      inputMode={more.numeric ? 'decimal' : undefined}
      hint={more.hint}
      error={on(key)}
      onChange={(event) => set({ [key]: event.target.value })}
    />
  );
  const date = (key: 'heldOn' | 'endsOn' | 'applyBy' | 'feeDueOn' | 'depositDueOn', label: string) => (
    <TextField
      label={label}
      type="date"
      value={form[key] ?? ''}
      error={on(key)}
      onChange={(event) =>
        set({ [key]: event.target.value === '' && key !== 'heldOn' ? undefined : event.target.value })
      }
    />
  );
  return (
    <form
      noValidate
      className="sheet space-y-5 rounded-tl-none p-4"
      aria-label="What is known of it"
      onSubmit={(event) => {
        event.preventDefault();
        if (!save.isPending)
          save.mutate({ typed: form, version: save.problem?.currentVersion ?? form.version });
      }}
    >
      <div className="grid items-start gap-3 md:grid-cols-4">
        <div className="md:col-span-2">{text('name', 'Name')}</div>
        {date('heldOn', 'Day')}
        {date('endsOn', 'Last day')}
        <SelectField
          label="How it stands"
          value={form.state}
          error={on('state')}
          onChange={(event) => set({ state: event.target.value as Form['state'] })}
        >
          {Object.entries(STATES).map(([state, words]) => (
            <option key={state} value={state}>
              {words}
            </option>
          ))}
        </SelectField>
        {date('applyBy', 'Apply by')}
        <div className="md:col-span-2">
          {text('series', 'One of the series', { hint: 'Empty for the fairs of its name.' })}
        </div>
        <div className="md:col-span-4">{text('place', 'Place')}</div>
      </div>
      <Group title="Hours">
        {text('opensAt', 'Opens at', { hint: 'like 10:00' })}
        {text('closesAt', 'Closes at')}
        {text('setUpHours', 'Set up, clear away (h)', { numeric: true })}
        {text('wayHours', 'On the way (h)', { numeric: true })}
        <p className="text-soft md:col-span-4">
          {fair.there.seconds > 0 && `${fair.there.text} there`}
          {fair.away.seconds > 0 && `, ${fair.away.text} on the way there and back`}
        </p>
      </Group>
      <Group title={`What it costs (${currency})`}>
        {text('fee', 'Stall fee', { numeric: true })}
        {date('feeDueOn', 'to be paid by')}
        {text('deposit', 'of which deposit', { numeric: true })}
        {date('depositDueOn', 'to be paid by')}
        {text('distance', `Driven (${fair.distanceUnit})`, { numeric: true })}
        {text('perDistance', `for each ${fair.distanceUnit === 'km' ? 'km' : 'mile'}`, { numeric: true })}
        {text('fare', 'Fare, tolls, ferry', { numeric: true })}
        {text('food', 'Food', { numeric: true })}
        {text('sleepWhere', 'Place to sleep')}
        {text('sleep', 'for', { numeric: true })}
        {text('helpers', 'Helpers')}
        {text('helpersPaid', 'are given', { numeric: true })}
        {text('other', 'Anything else', { numeric: true })}
        <p className="self-end pb-2 md:col-span-3">
          Going there costs{' '}
          <WorkedFigure label="what going there costs" working={fair.costs.working}>
            <b>{fair.costs.value.amount}</b>
          </WorkedFigure>
          {draft.isChanged && <span className="text-soft"> as it was saved</span>}
        </p>
      </Group>
      <Group title="The stall">
        {text('tableWide', `Table, along (${small})`)}
        {text('tableDeep', `Table, across (${small})`)}
        {text('gridWide', `Grid wall, wide (${small})`)}
        {text('gridHigh', `Grid wall, high (${small})`)}
        <Tick label="There is power" checked={form.power} onChange={(power) => set({ power })} />
        <Tick label="There is shelter" checked={form.shelter} onChange={(shelter) => set({ shelter })} />
        <DaySeen seen={form} weather={form.heldOn <= today} onChange={set} />
        <SelectField
          label="Sold on the terms of"
          value={form.channelId ?? ''}
          onChange={(event) =>
            set({ channelId: event.target.value === '' ? undefined : Number(event.target.value) })
          }
        >
          <option value="">the usual channel</option>
          {channels
            ?.filter((channel) => !channel.putAway || channel.id === form.channelId)
            .map((channel) => (
              <option key={channel.id} value={channel.id}>
                {channel.terms.name}
              </option>
            ))}
        </SelectField>
        {text('stallPlace', 'Bags for it are in')}
      </Group>
      <div>
        <label htmlFor="fair-notes" className="mb-1 block text-[13px] font-semibold text-soft">
          Notes
        </label>
        <textarea
          id="fair-notes"
          rows={3}
          className="field"
          value={form.notes}
          onChange={(event) => set({ notes: event.target.value })}
        />
      </div>
      {save.problem?.isClash && (
        <Notice look="care">
          {save.problem.message} Saving again keeps what you typed; giving up your changes keeps the other
          one.
        </Notice>
      )}
      {save.problem && !save.problem.isClash && save.problem.errors.length > 0 && (
        <Notice>
          {save.problem.errors.length === 1 ? 'One field' : 'Some fields'} can’t be as typed; see above.
        </Notice>
      )}
      {save.problem && !save.problem.isClash && save.problem.errors.length === 0 && (
        <ProblemNotice problem={save.problem} />
      )}
      <div className="flex flex-wrap gap-2">
        <Button type="submit" disabled={save.isPending || !draft.isChanged}>
          Save
        </Button>
        {draft.isChanged && (
          <Button
            look="quiet"
            onClick={() => {
              draft.giveUp();
              save.reset();
            }}
          >
            Discard my changes
          </Button>
        )}
      </div>
    </form>
  );
}

function Group({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <fieldset>
      <legend className="mb-1 font-bold">{title}</legend>
      <div className="grid items-start gap-3 md:grid-cols-4">{children}</div>
    </fieldset>
  );
}

function Tick({
  label,
  checked,
  onChange,
}: {
  label: string;
  checked: boolean;
  onChange: (checked: boolean) => void;
}) {
  return (
    <label className="flex min-h-11 items-center gap-2 self-end">
      <input
        type="checkbox"
        className="size-5"
        checked={checked}
        onChange={(event) => onChange(event.target.checked)}
      />
      {label}
    </label>
  );
}
