import { useForm } from 'react-hook-form';
import { api, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { TextField } from '../../ui/Field';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { Panel } from '../../ui/Panel';
import { useUnits } from '../../ui/units';
import { useRequestId, useSend } from '../../ui/useSend';

type Form = Schemas['MaterialForm'];
type Material = Schemas['MaterialView'];
type Kind = Material['kind'];

const TITLES: Record<Kind, string> = {
  CLOTH: 'A cloth',
  TRIM: 'Something bought by length',
  NOTION: 'Something counted',
};

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
  const exact = (amount?: Schemas['AmountView']) =>
    amount ? (amount.length?.exact ?? String(amount.count)) : '';
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
      price: material?.price.amount ?? '',
      pricePer: material ? exact(material.pricePer) : kind === 'NOTION' ? '10' : `1 ${units.cloth}`,
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
  const counted = kind === 'NOTION';
  const bare = counted ? 'a count' : `a length; a bare number is ${units.cloth}`;
  return (
    <Panel title={material ? material.name : TITLES[kind]} open onOpenChange={(open) => !open && onClose()}>
      <form
        noValidate
        className="space-y-3"
        onSubmit={handleSubmit((form) => {
          if (!send.isPending) {
            send.mutate({ ...form, version: send.problem?.currentVersion ?? form.version });
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
        {send.problem?.isClash && (
          <Notice look="care">
            {send.problem.message} Saving again keeps what stands here; closing keeps the other one.
          </Notice>
        )}
        {send.problem && !send.problem.isClash && send.problem.errors.length === 0 && (
          <ProblemNotice problem={send.problem} />
        )}
        <Button type="submit" disabled={send.isPending}>
          Save
        </Button>
      </form>
    </Panel>
  );
}
