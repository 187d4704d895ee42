import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, Problem, type Schemas } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { TextField } from '../../../ui/Field';
import { Notice, ProblemNotice } from '../../../ui/Notice';
import { Panel } from '../../../ui/Panel';
import { useRequestId, useSend } from '../../../ui/useSend';
import { useSettled } from '../../../ui/useSettled';

type Reseller = Schemas['ResellerView'];

/** What the shop has sold, at which price, and what that comes to on its terms. */
export function SettlePanel({ reseller, onClose }: { reseller: Reseller; onClose: () => void }) {
  const request = useRequestId();
  const [units, setUnits] = useState<Record<string, string>>({});
  const [prices, setPrices] = useState<Record<string, string>>({});
  const [on, setOn] = useState('');
  const bags = reseller.bags.filter((bag) => bag.there > 0);
  const lines = bags.map((bag) => ({
    kind: bag.kind,
    units: units[bag.kind] ?? '',
    price: prices[bag.kind] ?? bag.price.amount,
  }));
  const settled = useSettled(lines, 200);
  const form = (what: typeof lines) => ({ requestId: request.id, on: on || undefined, lines: what });
  const sum = useQuery({
    queryKey: ['settlement', reseller.id, settled],
    queryFn: ({ signal }) =>
      api.post<Schemas['SoldThereSum']>(
        `/api/resellers/${reseller.id}/settlements/preview`,
        form(settled),
        signal,
      ),
    placeholderData: keepPreviousData,
    gcTime: 0,
    retry: false,
  });
  const send = useSend(
    () => api.post<Reseller>(`/api/resellers/${reseller.id}/settlements`, form(lines)),
    onClose,
  );
  const wrong = send.problem ?? (sum.error instanceof Problem ? sum.error : undefined);
  return (
    <Panel title={`Settle with ${reseller.name}`} open onOpenChange={(open) => !open && onClose()}>
      <form
        noValidate
        className="space-y-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (!send.isPending) send.mutate(undefined);
        }}
      >
        <ul className="divide-y divide-line-faint">
          {bags.map((bag, i) => (
            <li key={bag.kind} className="grid grid-cols-[1fr_84px_96px] items-center gap-2 py-1">
              <span>
                <b>{bag.words}</b>
                <span className="block text-[13px] text-soft">{bag.there} there</span>
              </span>
              <TextField
                label={`Sold of ${bag.words}`}
                hideLabel
                placeholder="sold"
                inputMode="numeric"
                value={units[bag.kind] ?? ''}
                error={wrong?.on(`lines.${i}.units`)}
                onChange={(event) => setUnits({ ...units, [bag.kind]: event.target.value })}
              />
              <TextField
                label={`Price of ${bag.words}`}
                hideLabel
                inputMode="decimal"
                value={lines[i]?.price ?? ''}
                error={wrong?.on(`lines.${i}.price`)}
                onChange={(event) => setPrices({ ...prices, [bag.kind]: event.target.value })}
              />
            </li>
          ))}
        </ul>
        <TextField
          label="Settled on"
          type="date"
          hint="Empty for today."
          value={on}
          error={send.problem?.on('on')}
          onChange={(event) => setOn(event.target.value)}
        />
        {sum.data && !sum.error && sum.data.units > 0 && (
          <dl className="grid grid-cols-[1fr_auto] gap-y-0.5" aria-live="polite">
            <dt>{sum.data.units === 1 ? '1 bag' : `${sum.data.units} bags`} sold for</dt>
            <dd className="text-right">{sum.data.sold.amount}</dd>
            <dt>The shop takes</dt>
            <dd className="text-right">−{sum.data.taken.amount}</dd>
            {sum.data.tax.minor > 0 && (
              <>
                <dt>Tax</dt>
                <dd className="text-right">−{sum.data.tax.amount}</dd>
              </>
            )}
            <dt className="font-bold">For you</dt>
            <dd className="text-right text-lg font-bold">{sum.data.rest.amount}</dd>
          </dl>
        )}
        {send.problem?.on('lines') && <Notice>{send.problem.on('lines')}</Notice>}
        {send.problem && send.problem.errors.length === 0 && <ProblemNotice problem={send.problem} />}
        <Button type="submit" disabled={send.isPending}>
          Settle
        </Button>
      </form>
    </Panel>
  );
}
