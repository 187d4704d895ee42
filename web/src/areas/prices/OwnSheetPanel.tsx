import { useForm } from 'react-hook-form';
import { api, type Schemas } from '../../api/client';
import { TextField } from '../../ui/Field';
import { FormEnd } from '../../ui/FormEnd';
import { Panel } from '../../ui/Panel';
import { useUnits } from '../../ui/units';
import { useRequestId, useSend } from '../../ui/useSend';

type Form = Omit<Schemas['SheetForm'], 'requestId'>;

/** A sheet of labels that the maker measures with a ruler. */
export function OwnSheetPanel({ onClose, onKept }: { onClose: () => void; onKept: (key: string) => void }) {
  const { isInch } = useUnits();
  const unit = isInch ? 'in' : 'mm';
  const { id: requestId } = useRequestId();
  const { register, handleSubmit } = useForm<Form>({
    defaultValues: {
      name: '',
      pageWidth: isInch ? '8 1/2' : '210',
      pageHeight: isInch ? '11' : '297',
      left: '',
      top: '',
      labelWidth: '',
      labelHeight: '',
      stepAcross: '',
      stepDown: '',
      across: '',
      down: '',
    },
  });
  const save = useSend(
    (form: Form) => api.post<{ key: string }>('/api/price-tickets/sheets', { ...form, requestId }),
    ({ key }) => onKept(key),
  );
  const field = (name: keyof Form, label: string) => (
    <TextField
      label={label}
      inputMode={name === 'name' ? undefined : 'decimal'}
      error={save.problem?.errors.find((one) => one.field === name)?.sentence}
      {...register(name)}
    />
  );
  return (
    <Panel title="Labels by measure" open onOpenChange={(isOpen) => !isOpen && onClose()}>
      <form
        noValidate
        className="space-y-3"
        onSubmit={(event) => void handleSubmit((form) => save.mutate(form))(event)}
      >
        {field('name', 'Name')}
        <div className="grid grid-cols-2 items-start gap-3">
          {field('pageWidth', `Page, width (${unit})`)}
          {field('pageHeight', `Page, height (${unit})`)}
          {field('labelWidth', `Label, width (${unit})`)}
          {field('labelHeight', `Label, height (${unit})`)}
          {field('across', 'Labels beside one another')}
          {field('down', 'Rows')}
          {field('left', `From the page’s left edge to the first (${unit})`)}
          {field('top', `From the upper edge to the first (${unit})`)}
          {field('stepAcross', `From left edge to left edge (${unit})`)}
          {field('stepDown', `From upper edge to upper edge (${unit})`)}
        </div>
        <FormEnd problem={save.problem} isPending={save.isPending} />
      </form>
    </Panel>
  );
}
