import { useQuery } from '@tanstack/react-query';
import { useForm, useWatch } from 'react-hook-form';
import { api, type Schemas } from '../../api/client';
import { keys, useChannels } from '../../api/queries';
import { SelectField, TextField } from '../../ui/Field';
import { FormEnd } from '../../ui/FormEnd';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { useUnits } from '../../ui/units';
import { useSend } from '../../ui/useSend';

type Choice = Schemas['ChoiceForm'];

const KINDS = [
  { kind: 'SEWING', name: 'sewing' },
  { kind: 'CUTTING', name: 'cutting' },
  { kind: 'PRESSING', name: 'pressing' },
  { kind: 'HANDWORK', name: 'work by hand' },
  { kind: 'PACKING', name: 'packing' },
  { kind: 'LISTING', name: 'photographing and listing' },
] as const;

/** How the maker comes to prices. */
export function ChoicePart() {
  const { data, error } = useQuery({
    queryKey: [...keys.prices, 'choice'],
    queryFn: () => api.get<Choice>('/api/prices/choice'),
  });
  if (error) return <ProblemNotice problem={error} />;
  if (!data) return <p className="text-soft">Opening …</p>;
  return <ChoiceFields key={data.version} stored={data} />;
}

function SchoolOptions() {
  return (
    <>
      <option value="MATERIALS_AND_LABOUR">materials × factor + labour</option>
      <option value="MARGIN">full cost ÷ (1 − margin)</option>
      <option value="MARKUP">full cost × (1 + markup)</option>
      <option value="HOURLY">materials × factor + its time at my least rate</option>
      <option value="TRADE">trade price × multiple</option>
    </>
  );
}

function ChoiceFields({ stored }: { stored: Choice }) {
  const { currency } = useUnits();
  const channels = useChannels();
  const { register, control, handleSubmit } = useForm<Choice>({ defaultValues: stored });
  const save = useSend((form: Choice) => api.put<Choice>('/api/prices/choice', form));
  const on = (field: string) => save.problem?.errors.find((one) => one.field === field)?.sentence;
  const point = useWatch({ control, name: 'point' });
  return (
    <form
      noValidate
      className="max-w-[940px] space-y-4"
      onSubmit={(event) =>
        void handleSubmit((form) =>
          save.mutate({
            ...form,
            usualChannel: Number(form.usualChannel),
            version: save.problem?.currentVersion ?? form.version,
            sorts: form.sorts?.map(({ sort, school }) => ({ sort, school: school || undefined })),
          }),
        )(event)
      }
    >
      <div className="grid items-start gap-4 md:grid-cols-2">
        <fieldset className="sheet space-y-3 p-4">
          <legend className="float-left mb-2 w-full font-bold">What is wanted for a bag</legend>
          <SelectField label="Usually" {...register('school')} error={on('school')}>
            <SchoolOptions />
          </SelectField>
          <div className="grid grid-cols-2 gap-3">
            <TextField
              label="Factor of materials"
              inputMode="decimal"
              error={on('factor')}
              {...register('factor')}
            />
            <TextField
              label={`The least for an hour (${currency})`}
              inputMode="decimal"
              hint={`empty for the usual ${stored.hourlyRate}`}
              error={on('leastRate')}
              {...register('leastRate')}
            />
            <TextField label="Margin (%)" inputMode="decimal" error={on('margin')} {...register('margin')} />
            <TextField label="Markup (%)" inputMode="decimal" error={on('markup')} {...register('markup')} />
            <TextField
              label="A shop asks the trade price times"
              inputMode="decimal"
              error={on('multiple')}
              {...register('multiple')}
            />
          </div>
          <details>
            <summary className="cursor-pointer py-1 font-semibold text-woad">
              Kinds of work paid otherwise
            </summary>
            <div className="mt-1 grid grid-cols-2 gap-3">
              {KINDS.map(({ kind, name }) => (
                <TextField
                  key={kind}
                  label={`An hour of ${name} (${currency})`}
                  inputMode="decimal"
                  placeholder={stored.hourlyRate}
                  error={on(`rates.${kind}`)}
                  {...register(`rates.${kind}`)}
                />
              ))}
            </div>
          </details>
          {stored.sorts && stored.sorts.length > 0 && (
            <details open={stored.sorts.some((one) => one.school)}>
              <summary className="cursor-pointer py-1 font-semibold text-woad">
                Kinds of bag priced otherwise
              </summary>
              <div className="mt-1 grid grid-cols-2 gap-3">
                {stored.sorts.map(({ sort }, i) => (
                  <SelectField
                    key={sort}
                    label={sort}
                    error={on(`sorts.${i}.school`)}
                    {...register(`sorts.${i}.school`)}
                  >
                    <option value="">as usual</option>
                    <SchoolOptions />
                  </SelectField>
                ))}
              </div>
            </details>
          )}
          <p className="text-[13px] text-soft">
            All of them stand side by side on the sheet of each bag; the usual one makes the price where none
            is set.
          </p>
        </fieldset>
        <fieldset className="sheet space-y-3 p-4">
          <legend className="float-left mb-2 w-full font-bold">From that to the price</legend>
          <SelectField
            label="Tickets show the prices of"
            error={on('usualChannel')}
            {...register('usualChannel')}
          >
            {channels.data
              ?.filter((channel) => !channel.putAway)
              .map((channel) => (
                <option key={channel.id} value={channel.id}>
                  {channel.terms.name}
                </option>
              ))}
          </SelectField>
          <label className="flex min-h-11 items-center gap-2.5">
            <input type="checkbox" className="size-5" {...register('feesInside')} />
            What is wanted is the price, and the channel takes from it
          </label>
          <SelectField label="Prices are rounded up" {...register('point')}>
            <option value="HALF">to the next half</option>
            <option value="WHOLE">to the next whole amount</option>
            <option value="NINETY_FIVE">to the next .95</option>
            <option value="FIVES">to the next even five</option>
            <option value="OWN">to the next of my own</option>
            <option value="EXACT">to the smallest coin</option>
          </SelectField>
          {point === 'OWN' && (
            <TextField
              label="My own prices"
              hint="parted by semicolons: 8; 12; 17.50"
              error={on('own')}
              {...register('own')}
            />
          )}
          <label className="flex min-h-11 items-center gap-2.5">
            <input type="checkbox" className="size-5" {...register('toNearest')} />
            or down to a nearer one, where nothing is lost by it
          </label>
          <TextField
            label={`Sales tax is due from sales of so much a year (${currency})`}
            hint="as your local rules say; empty for not watched. The price book tells when it is near."
            inputMode="decimal"
            error={on('taxThreshold')}
            {...register('taxThreshold')}
          />
        </fieldset>
      </div>
      {save.isSuccess && <Notice look="ok">Saved. Prices that aren’t set follow.</Notice>}
      <FormEnd problem={save.problem} isPending={save.isPending} />
    </form>
  );
}
