import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Schemas } from '../../api/client';
import { keys } from '../../api/queries';
import { Button } from '../../ui/Button';
import { SelectField, TextField } from '../../ui/Field';
import { ProblemNotice } from '../../ui/Notice';
import { Panel } from '../../ui/Panel';
import { useRequestId, useSend } from '../../ui/useSend';
import { ofQuality } from '../../ui/quality';

type Goods = Schemas['FinishedGoodsLine'];

/** Bags of several lots go from one place to another in one act. */
export function MoveSeveralPanel({ places, onClose }: { places: string[]; onClose: () => void }) {
  const request = useRequestId();
  const [from, setFrom] = useState(places.includes('home') ? 'home' : (places[0] ?? ''));
  const [to, setTo] = useState('');
  const [typed, setTyped] = useState<Record<number, string>>({});
  const there = (one: Goods) => one.places.find(({ place }) => place === from)?.units ?? 0;
  const { data } = useQuery({
    queryKey: [...keys.finishedGoods, 'at', from],
    queryFn: () =>
      api.get<Schemas['GoodsView']>(`/api/finished-goods?place=${encodeURIComponent(from)}&size=500`),
  });
  const shown = data?.page.items ?? [];
  const moving = shown.filter((one) => (typed[one.id] ?? '').trim() !== '');
  const send = useSend(
    () =>
      api.post<void>('/api/finished-goods/moves', {
        requestId: request.id,
        place: from,
        toPlace: to,
        lots: moving.map((one) => ({ goodsId: one.id, units: typed[one.id] })),
      }),
    onClose,
  );
  return (
    <Panel title="Move several" open onOpenChange={(open) => !open && onClose()}>
      <form
        noValidate
        className="space-y-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (!send.isPending) send.mutate(undefined);
        }}
      >
        <div className="grid grid-cols-2 gap-3">
          <SelectField
            label="From"
            value={from}
            error={send.problem?.on('place')}
            onChange={(event) => {
              setFrom(event.target.value);
              setTyped({});
            }}
          >
            {places.map((one) => (
              <option key={one}>{one}</option>
            ))}
          </SelectField>
          <TextField
            label="To"
            list="all-places"
            maxLength={80}
            value={to}
            error={send.problem?.on('toPlace')}
            onChange={(event) => setTo(event.target.value)}
          />
          <datalist id="all-places">
            {places.map((one) => (
              <option key={one} value={one} />
            ))}
          </datalist>
        </div>
        <div className="flex flex-wrap gap-2">
          <Button
            look="quiet"
            onClick={() => setTyped(Object.fromEntries(shown.map((one) => [one.id, String(there(one))])))}
          >
            All of them
          </Button>
          <Button look="quiet" onClick={() => setTyped({})}>
            None
          </Button>
        </div>
        {data && shown.length === 0 && <p className="text-soft">No bags are at “{from}”.</p>}
        <ul className="divide-y divide-line-faint">
          {shown.map((one) => {
            const at = moving.indexOf(one);
            return (
              <li key={one.id} className="grid grid-cols-[1fr_96px] items-center gap-3 py-1">
                <span>
                  <b>{[one.designName, one.sizeName].filter(Boolean).join(', ')}</b>
                  <span className="block text-[13px] text-soft">
                    {one.clothName}
                    {ofQuality(one.quality)} · {there(one)} there
                  </span>
                </span>
                <TextField
                  label={`How many of ${one.designName}, ${one.sizeName}, ${one.clothName}, ${one.finishedOn}`}
                  hideLabel
                  inputMode="numeric"
                  value={typed[one.id] ?? ''}
                  error={at >= 0 ? send.problem?.on(`lots.${at}.units`) : undefined}
                  onChange={(event) => setTyped({ ...typed, [one.id]: event.target.value })}
                />
              </li>
            );
          })}
        </ul>
        {send.problem && send.problem.errors.every(({ field }) => field === 'lots') && (
          <ProblemNotice problem={send.problem} />
        )}
        <Button type="submit" disabled={send.isPending || moving.length === 0}>
          {moving.length === 0 ? 'Type how many' : `Move them to ${to || '…'}`}
        </Button>
      </form>
    </Panel>
  );
}
