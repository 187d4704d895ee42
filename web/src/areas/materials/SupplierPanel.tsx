import { useForm } from 'react-hook-form';
import { api, type Schemas } from '../../api/client';
import { TextField } from '../../ui/Field';
import { FormEnd } from '../../ui/FormEnd';
import { Panel } from '../../ui/Panel';
import { useUnits } from '../../ui/units';
import { useRequestId, useSend } from '../../ui/useSend';

type Form = Schemas['SupplierForm'];
type Supplier = Schemas['SupplierView'];

/** Enters a shop, or changes one. */
export function SupplierPanel({ supplier, onClose }: { supplier?: Supplier; onClose: () => void }) {
  const units = useUnits();
  const request = useRequestId();
  const { register, handleSubmit } = useForm<Form>({
    defaultValues: {
      requestId: request.id,
      version: supplier?.version ?? 0,
      name: supplier?.name ?? '',
      postage: supplier?.postage.amount ?? '0',
    },
  });
  const send = useSend(
    (form: Form) =>
      supplier
        ? api.put<Supplier>(`/api/suppliers/${supplier.id}`, form)
        : api.post<Supplier>('/api/suppliers', form),
    onClose,
  );
  return (
    <Panel title={supplier?.name ?? 'A shop'} open onOpenChange={(open) => !open && onClose()}>
      <form
        noValidate
        className="space-y-3"
        onSubmit={handleSubmit((form) => {
          if (!send.isPending) {
            send.mutate({ ...form, version: send.problem?.currentVersion ?? form.version });
          }
        })}
      >
        <TextField label="Name" error={send.problem?.on('name')} {...register('name')} />
        <TextField
          label={`Postage of one order (${units.currency})`}
          hint="0 for a shop that you walk to."
          inputMode="decimal"
          error={send.problem?.on('postage')}
          {...register('postage')}
        />
        <FormEnd problem={send.problem} isPending={send.isPending} />
      </form>
    </Panel>
  );
}
