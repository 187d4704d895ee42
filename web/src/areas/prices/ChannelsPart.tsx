import { useState } from 'react';
import { useFieldArray, useForm, useWatch } from 'react-hook-form';
import { api, type Schemas } from '../../api/client';
import { useChannels } from '../../api/queries';
import { Button } from '../../ui/Button';
import { SelectField, TextField } from '../../ui/Field';
import { FormEnd } from '../../ui/FormEnd';
import { ProblemNotice } from '../../ui/Notice';
import { Panel } from '../../ui/Panel';
import { Tag } from '../../ui/Tag';
import { fullDay, useUnits } from '../../ui/units';
import { useRequestId, useSend } from '../../ui/useSend';

type Channel = Schemas['ChannelView'];
type Form = Schemas['ChannelForm'];
type Fee = Schemas['FeeForm'];

const NEW: Form = {
  version: 0,
  name: '',
  kind: 'BUYERS',
  fees: [],
  taxMode: 'NONE',
  taxRate: '',
  unitsPerSale: '1',
  postagePaid: '',
  postage: '',
  packing: '',
  packingMinutes: '',
  listingMinutes: '',
};
const FEE: Fee = {
  name: '',
  basis: 'SHARE',
  amount: '',
  above: '',
  then: '',
  least: '',
  most: '',
  likelihood: '100',
  cardOnly: false,
};

/** The ways of selling, each on its own terms, with those that it had. */
export function ChannelsPart() {
  const { data, error } = useChannels();
  const [open, setOpen] = useState<Channel | 'new'>();
  const away = useSend(({ id, terms, putAway }: Channel) =>
    api.put<Channel>(`/api/channels/${id}/away`, { version: terms.version, putAway: !putAway }),
  );
  if (error) return <ProblemNotice problem={error} />;
  if (!data) return <p className="text-soft">Opening …</p>;
  return (
    <div className="max-w-[940px]">
      <ProblemNotice problem={away.problem} />
      <ul className="space-y-3">
        {data.map((channel) => (
          <li key={channel.id} className={`sheet px-4 py-3 ${channel.putAway ? 'opacity-70' : ''}`}>
            <div className="flex flex-wrap items-start justify-between gap-3">
              <div className="min-w-0 flex-1">
                <h2 className="flex flex-wrap items-center gap-2">
                  {channel.terms.name}
                  {channel.usual && <Tag look="ok">on tickets</Tag>}
                  {channel.terms.kind === 'RESELLER' && <Tag look="plain">reseller</Tag>}
                  {channel.putAway && <Tag look="plain">put away</Tag>}
                </h2>
                <p>{channel.says}</p>
              </div>
              <div className="flex gap-2">
                <Button look="quiet" onClick={() => setOpen(channel)}>
                  Change
                </Button>
                {!channel.usual && (
                  <Button look="quiet" onClick={() => away.mutate(channel)} disabled={away.isPending}>
                    {channel.putAway ? 'Put back in use' : 'Put away'}
                  </Button>
                )}
              </div>
            </div>
            {channel.former.length > 0 && (
              <details className="mt-1 text-[13px] text-soft">
                <summary className="min-h-6 cursor-pointer">Earlier terms</summary>
                <ul>
                  {channel.former.map((one) => (
                    <li key={one.until + one.says}>
                      until {fullDay(one.until)}: {one.says}
                    </li>
                  ))}
                </ul>
              </details>
            )}
          </li>
        ))}
      </ul>
      <Button className="mt-4" onClick={() => setOpen('new')}>
        Add a channel
      </Button>
      {open && (
        <ChannelPanel channel={open === 'new' ? undefined : open} onClose={() => setOpen(undefined)} />
      )}
    </div>
  );
}

function ChannelPanel({ channel, onClose }: { channel: Channel | undefined; onClose: () => void }) {
  const { currency } = useUnits();
  const { id: requestId } = useRequestId();
  const { register, control, handleSubmit } = useForm<Form>({ defaultValues: channel?.terms ?? NEW });
  const { fields, append, remove } = useFieldArray({ control, name: 'fees' });
  const save = useSend(
    (form: Form) =>
      channel
        ? api.put<Channel>(`/api/channels/${channel.id}`, form)
        : api.post<Channel>('/api/channels', { requestId, terms: form }),
    onClose,
  );
  const on = (field: string) => save.problem?.errors.find((one) => one.field === field)?.sentence;
  const fees = useWatch({ control, name: 'fees' });
  const taxMode = useWatch({ control, name: 'taxMode' });
  return (
    <Panel
      title={channel ? channel.terms.name : 'A new channel'}
      open
      wide
      onOpenChange={(isOpen) => !isOpen && onClose()}
    >
      <form
        noValidate
        className="space-y-4"
        onSubmit={(event) =>
          void handleSubmit((form) =>
            save.mutate({ ...form, version: save.problem?.currentVersion ?? form.version }),
          )(event)
        }
      >
        <div className="grid items-start gap-3 md:grid-cols-3">
          <TextField label="Name" maxLength={200} error={on('name')} {...register('name')} />
          <SelectField label="Who pays the price" {...register('kind')}>
            <option value="BUYERS">those who buy the bag</option>
            <option value="RESELLER">a reseller</option>
          </SelectField>
          <TextField
            label="Bags in one sale, on average"
            inputMode="decimal"
            error={on('unitsPerSale')}
            {...register('unitsPerSale')}
          />
        </div>
        <fieldset>
          <legend className="font-bold">What it takes</legend>
          {fields.map((field, i) => {
            const isShare = fees[i]?.basis === 'SHARE';
            return (
              <div
                key={field.id}
                role="group"
                aria-label={`Fee ${i + 1}`}
                className="grid items-start gap-2 border-b border-line-faint py-2 md:grid-cols-[2fr_1.5fr_1fr_auto]"
              >
                <TextField
                  label="Fee"
                  maxLength={200}
                  error={on(`fees.${i}.name`)}
                  {...register(`fees.${i}.name`)}
                />
                <SelectField label="is" {...register(`fees.${i}.basis`)}>
                  <option value="SHARE">% of what the buyer pays</option>
                  <option value="SALE">{currency} for each sale</option>
                  <option value="UNIT">{currency} for each bag</option>
                </SelectField>
                <TextField
                  label={isShare ? 'per cent' : currency}
                  inputMode="decimal"
                  error={on(`fees.${i}.amount`)}
                  {...register(`fees.${i}.amount`)}
                />
                <Button
                  look="quiet"
                  className="mt-6"
                  aria-label={`Take fee ${i + 1} away`}
                  onClick={() => remove(i)}
                >
                  ×
                </Button>
                <div className="grid gap-2 md:col-span-4 md:grid-cols-5">
                  {isShare && (
                    <>
                      <TextField
                        label={`above (${currency})`}
                        inputMode="decimal"
                        error={on(`fees.${i}.above`)}
                        {...register(`fees.${i}.above`)}
                      />
                      <TextField
                        label="another share (%)"
                        inputMode="decimal"
                        error={on(`fees.${i}.then`)}
                        {...register(`fees.${i}.then`)}
                      />
                      <TextField
                        label="at least"
                        inputMode="decimal"
                        error={on(`fees.${i}.least`)}
                        {...register(`fees.${i}.least`)}
                      />
                      <TextField
                        label="at most"
                        inputMode="decimal"
                        error={on(`fees.${i}.most`)}
                        {...register(`fees.${i}.most`)}
                      />
                    </>
                  )}
                  {(isShare || fees[i]?.likelihood !== '100') && (
                    <TextField
                      label="of so many sales (%)"
                      inputMode="decimal"
                      error={on(`fees.${i}.likelihood`)}
                      {...register(`fees.${i}.likelihood`)}
                    />
                  )}
                  <label className="flex min-h-11 items-center gap-2 self-end text-[14px]">
                    <input type="checkbox" className="size-5" {...register(`fees.${i}.cardOnly`)} />
                    only when paid by card
                  </label>
                </div>
              </div>
            );
          })}
          <Button look="quiet" className="mt-2" onClick={() => append(FEE)}>
            Add a fee
          </Button>
        </fieldset>
        <div className="grid items-start gap-3 md:grid-cols-4">
          <TextField
            label={`The buyer pays for postage (${currency})`}
            inputMode="decimal"
            error={on('postagePaid')}
            {...register('postagePaid')}
          />
          <TextField
            label={`Postage costs (${currency})`}
            inputMode="decimal"
            error={on('postage')}
            {...register('postage')}
          />
          <TextField
            label={`Packing material (${currency})`}
            inputMode="decimal"
            error={on('packing')}
            {...register('packing')}
          />
          <TextField
            label="Packing, minutes"
            inputMode="decimal"
            error={on('packingMinutes')}
            {...register('packingMinutes')}
          />
          <TextField
            label="Photos and listing, min a bag"
            inputMode="decimal"
            error={on('listingMinutes')}
            {...register('listingMinutes')}
          />
          <SelectField label="Sales tax" {...register('taxMode')}>
            <option value="NONE">none</option>
            <option value="INCLUDED">inside the price</option>
            <option value="ADDED">on top of the price</option>
          </SelectField>
          {taxMode !== 'NONE' && (
            <TextField
              label="at (%)"
              inputMode="decimal"
              hint="your own rate: ask who knows your place’s rules"
              error={on('taxRate')}
              {...register('taxRate')}
            />
          )}
        </div>
        <FormEnd problem={save.problem} isPending={save.isPending} />
      </form>
    </Panel>
  );
}
