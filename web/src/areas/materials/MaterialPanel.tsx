import { useForm } from 'react-hook-form';
import { api, type Schemas } from '../../api/client';
import { SelectField, TextField } from '../../ui/Field';
import { FormEnd } from '../../ui/FormEnd';
import { Panel } from '../../ui/Panel';
import { useUnits } from '../../ui/units';
import { useRequestId, useSend } from '../../ui/useSend';
import { CLOTHS } from '../designs/words';

type Form = Schemas['MaterialForm'];
type Material = Schemas['MaterialView'];
type Kind = Material['kind'];

const TITLES: Record<Kind, string> = {
  CLOTH: 'A cloth',
  TRIM: 'Something bought by length',
  NOTION: 'Something counted',
  FILLING_BY_WEIGHT: 'A filling, by weight',
  FILLING_BY_VOLUME: 'A filling, by volume',
};

/** What a price is usually for. */
const usualAmount = (kind: Kind, cloth: string) =>
  ({
    CLOTH: `1 ${cloth}`,
    TRIM: `1 ${cloth}`,
    NOTION: '10',
    FILLING_BY_WEIGHT: '1 kg',
    FILLING_BY_VOLUME: '1 l',
  })[kind];

/** Enters a new material, or changes one; its stock is changed by movements instead. */
export function MaterialPanel({
  kind,
  material,
  onClose,
}: {
  kind: Kind;
  material?: Material;
  onClose: () => void;
}) {
  const units = useUnits();
  const request = useRequestId();
  const exact = (amount?: Schemas['AmountView']) => amount?.exact ?? '';
  const { register, handleSubmit } = useForm<Form>({
    defaultValues: {
      requestId: request.id,
      version: material?.version ?? 0,
      kind,
      name: material?.name ?? '',
      note: material?.note ?? '',
      colour: material?.colour ?? '#5d7f8f',
      usableWidth: material?.usableWidth?.exact ?? '',
      directional: material?.directional ?? false,
      cloth: material?.cloth,
      price: material?.price.amount ?? '',
      pricePer: material ? exact(material.pricePer) : usualAmount(kind, units.cloth),
      lowAt: exact(material?.lowAt),
      onHand: '',
    },
  });
  const send = useSend(
    (form: Form) =>
      material
        ? api.put<Material>(`/api/materials/${material.id}`, form)
        : api.post<Material>('/api/materials', form),
    onClose,
  );
  const on = (field: string) => send.problem?.on(field);
  const bare = {
    CLOTH: `a length; a bare number is ${units.cloth}`,
    TRIM: `a length; a bare number is ${units.cloth}`,
    NOTION: 'a count',
    FILLING_BY_WEIGHT: 'a weight, like 500 g or 1 lb',
    FILLING_BY_VOLUME: 'a volume, like 2 l or 4 cups',
  }[kind];
  return (
    <Panel title={material ? material.name : TITLES[kind]} open onOpenChange={(open) => !open && onClose()}>
      <form
        noValidate
        className="space-y-3"
        onSubmit={handleSubmit((form) => {
          if (!send.isPending) {
            send.mutate({
              ...form,
              cloth: form.cloth || undefined,
              version: send.problem?.currentVersion ?? form.version,
            });
          }
        })}
      >
        <TextField label="Name" error={on('name')} {...register('name')} />
        <TextField label="What is it?" error={on('note')} {...register('note')} />
        {kind === 'CLOTH' && (
          <>
            <TextField
              label="Usable width, without the selvages"
              hint={`A bare number is ${units.small}.`}
              error={on('usableWidth')}
              {...register('usableWidth')}
            />
            <SelectField label="What kind of cloth" error={on('cloth')} {...register('cloth')}>
              <option value="">not said</option>
              {Object.entries(CLOTHS).map(([key, words]) => (
                <option key={key} value={key}>
                  {words}
                </option>
              ))}
            </SelectField>
            <label className="flex min-h-11 items-center gap-2">
              <input type="checkbox" className="size-5" {...register('directional')} />
              One way up: print, stripe or nap, so pieces with a top aren’t turned
            </label>
          </>
        )}
        <div className="grid grid-cols-2 gap-3">
          <TextField
            label={`Price (${units.currency})`}
            inputMode="decimal"
            error={on('price')}
            {...register('price')}
          />
          <TextField label="for" hint={bare} error={on('pricePer')} {...register('pricePer')} />
          {!material && (
            <TextField label="On the shelf now" hint={bare} error={on('onHand')} {...register('onHand')} />
          )}
          <TextField label="Low below" hint="Empty: never." error={on('lowAt')} {...register('lowAt')} />
          <TextField label="Colour" type="color" error={on('colour')} {...register('colour')} />
        </div>
        <FormEnd problem={send.problem} isPending={send.isPending} />
      </form>
    </Panel>
  );
}
