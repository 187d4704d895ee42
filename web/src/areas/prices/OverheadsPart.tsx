import { useQuery } from '@tanstack/react-query';
import { useFieldArray, useForm } from 'react-hook-form';
import { api, type Schemas } from '../../api/client';
import { keys } from '../../api/queries';
import { Button } from '../../ui/Button';
import { TextField } from '../../ui/Field';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { useUnits } from '../../ui/units';
import { useSend } from '../../ui/useSend';

type View = Schemas['OverheadsView'];
type Form = Schemas['OverheadsForm'];

const USUAL = ['machine service', 'needles and blades', 'thread', 'power', 'insurance', 'rent of the room'];

/** What a year costs beside material and labour, over the hours that are worked in it. */
export function OverheadsPart() {
  const { data, error } = useQuery({
    queryKey: [...keys.prices, 'overheads'],
    queryFn: () => api.get<View>('/api/prices/overheads'),
  });
  if (error) return <ProblemNotice problem={error} />;
  if (!data) return null;
  return <Sheet key={data.form.version} view={data} />;
}

function Sheet({ view }: { view: View }) {
  const { currency } = useUnits();
  const { register, control, handleSubmit } = useForm<Form>({
    defaultValues: {
      ...view.form,
      lines: view.form.lines.length > 0 ? view.form.lines : USUAL.map((name) => ({ name, amount: '' })),
    },
  });
  const { fields, append, remove } = useFieldArray({ control, name: 'lines' });
  const save = useSend((form: Form) => api.put<View>('/api/prices/overheads', form));
  const on = (field: string) => save.problem?.errors.find((one) => one.field === field)?.sentence;
  const send = (take: boolean) =>
    void handleSubmit((form) =>
      save.mutate({
        ...form,
        take,
        version: save.problem?.currentVersion ?? form.version,
        lines: form.lines.map((line) => ({ ...line, amount: line.amount.trim() || '0' })),
      }),
    )();
  return (
    <form
      noValidate
      className="sheet mt-4 max-w-[940px] space-y-3 p-4"
      aria-label="Overheads of a year"
      onSubmit={(event) => {
        event.preventDefault();
        send(false);
      }}
    >
      <h2>Overheads of a year</h2>
      <div className="grid gap-x-6 gap-y-2 md:grid-cols-2">
        {fields.map((field, i) => (
          <div key={field.id} className="grid grid-cols-[1fr_110px_auto] items-start gap-2">
            <TextField
              label={`What ${i + 1}`}
              hideLabel
              maxLength={120}
              error={on(`lines.${i}.name`)}
              {...register(`lines.${i}.name`)}
            />
            <TextField
              label={`A year ${i + 1} (${currency})`}
              hideLabel
              placeholder={currency}
              inputMode="decimal"
              error={on(`lines.${i}.amount`)}
              {...register(`lines.${i}.amount`)}
            />
            <Button look="quiet" aria-label={`Remove line ${i + 1}`} onClick={() => remove(i)}>
              ×
            </Button>
          </div>
        ))}
      </div>
      <Button look="quiet" onClick={() => append({ name: '', amount: '' })}>
        Another
      </Button>
      <div className="grid items-start gap-4 border-t border-line-faint pt-3 md:grid-cols-[240px_1fr]">
        <TextField
          label="Hours at the bench in a year"
          inputMode="decimal"
          placeholder={view.aYear ? 'as logged' : 'too few are logged'}
          error={on('hours')}
          {...register('hours')}
        />
        <p className="self-center">
          {view.logged.text} are logged in {view.days} {view.days === 1 ? 'day' : 'days'}.{' '}
          {view.perHour && view.aYear && view.together.minor > 0 && (
            <>
              {view.together.amount} over {view.aYear.text} a year: <b>{view.perHour.amount} an hour</b>.{' '}
            </>
          )}
          Costs are calculated with {view.now.amount} an hour now.
        </p>
      </div>
      {save.problem?.isClash && (
        <Notice look="care">{save.problem.message} Saving again keeps what you typed.</Notice>
      )}
      {save.problem && !save.problem.isClash && save.problem.errors.length === 0 && (
        <ProblemNotice problem={save.problem} />
      )}
      <div className="flex flex-wrap gap-2">
        <Button type="submit" look="quiet" disabled={save.isPending}>
          Save
        </Button>
        <Button disabled={save.isPending} onClick={() => send(true)}>
          Save and use it
        </Button>
      </div>
    </form>
  );
}
