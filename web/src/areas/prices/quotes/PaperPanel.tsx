import { useQuery } from '@tanstack/react-query';
import { useForm } from 'react-hook-form';
import { api, type Schemas } from '../../../api/client';
import { keys } from '../../../api/queries';
import { TextField } from '../../../ui/Field';
import { FormEnd } from '../../../ui/FormEnd';
import { Panel } from '../../../ui/Panel';
import { useSend } from '../../../ui/useSend';

type Form = Schemas['QuotePaperForm'];

export const useQuotePaper = () =>
  useQuery({ queryKey: [...keys.quotes, 'paper'], queryFn: () => api.get<Form>('/api/quotes/paper') });

/** What stands on every quote. */
export function PaperPanel({ onClose }: { onClose: () => void }) {
  const { data } = useQuotePaper();
  return (
    <Panel title="On every quote" open onOpenChange={(isOpen) => !isOpen && onClose()}>
      {data && <PaperForm stored={data} onClose={onClose} />}
    </Panel>
  );
}

function PaperForm({ stored, onClose }: { stored: Form; onClose: () => void }) {
  const { register, handleSubmit } = useForm<Form>({ defaultValues: stored });
  const save = useSend((form: Form) => api.put<Form>('/api/quotes/paper', form), onClose);
  const on = (field: string) => save.problem?.errors.find((one) => one.field === field)?.sentence;
  return (
    <form
      noValidate
      className="space-y-3"
      onSubmit={(event) =>
        void handleSubmit((form) =>
          save.mutate({ ...form, version: save.problem?.currentVersion ?? form.version }),
        )(event)
      }
    >
      <Lines
        label="Heading: your name, and your address in further lines"
        rows={4}
        field={register('heading')}
        max={600}
      />
      <Lines label="Terms" rows={4} field={register('terms')} max={1000} />
      <div className="grid grid-cols-2 items-start gap-3">
        <TextField
          label="Usual deposit (%)"
          inputMode="decimal"
          error={on('deposit')}
          {...register('deposit')}
        />
        <TextField
          label="Valid for so many days"
          inputMode="numeric"
          error={on('validDays')}
          {...register('validDays')}
        />
      </div>
      <p className="text-[13px] text-soft">
        What may be said about wishes and returns differs from place to place: ask somebody who knows yours.
      </p>
      <FormEnd problem={save.problem} isPending={save.isPending} />
    </form>
  );
}

function Lines({ label, rows, field, max }: { label: string; rows: number; field: object; max: number }) {
  return (
    <label className="block">
      <span className="mb-1 block text-[13px] font-semibold text-soft">{label}</span>
      <textarea rows={rows} maxLength={max} className="field !h-auto py-2" {...field} />
    </label>
  );
}
