import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Schemas } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { SelectField, TextField } from '../../../ui/Field';
import { Notice, ProblemNotice } from '../../../ui/Notice';
import { Panel } from '../../../ui/Panel';
import { useRequestId, useSend } from '../../../ui/useSend';

type Order = Schemas['CustomerOrderView'];
type Bags = Schemas['HandOverBags'];
type Tender = NonNullable<Order['tender']>;

/** Which bags the customer takes, and what is paid for them. */
export function HandOverPanel({ order, onClose }: { order: Order; onClose: () => void }) {
  const { data, error } = useQuery({
    queryKey: ['orders', order.id, 'bags'],
    queryFn: () => api.get<Bags[]>(`/api/orders/${order.id}/bags`),
    // What is typed refers to what was read when the panel opened.
    gcTime: 0,
    staleTime: Infinity,
  });
  return (
    <Panel title={`Hand over order ${order.id}`} open onOpenChange={(isOpen) => !isOpen && onClose()}>
      {error ? (
        <ProblemNotice problem={error} />
      ) : !data ? (
        <p className="text-soft">Opening …</p>
      ) : data.length === 0 ? (
        <Notice look="care">
          No finished bags are there yet. They come from a finished batch; say on its page how they came out.
        </Notice>
      ) : (
        <HandOverForm order={order} bags={data} onClose={onClose} />
      )}
    </Panel>
  );
}

function HandOverForm({ order, bags, onClose }: { order: Order; bags: Bags[]; onClose: () => void }) {
  const request = useRequestId();
  const places = [...new Set(bags.map((one) => one.place))];
  const [place, setPlace] = useState(places[0] ?? '');
  const [typed, setTyped] = useState<Record<string, string>>({});
  const [others, setOthers] = useState(!bags.some((one) => one.own));
  const [paid, setPaid] = useState(order.total.amount);
  const [tender, setTender] = useState<Tender>('CASH');
  const [on, setOn] = useState('');
  const shown = bags.filter((one) => one.place === place && (one.own || others));
  const units = (one: Bags) => typed[key(one)] ?? (one.proposed > 0 ? String(one.proposed) : '');
  const send = useSend(
    () =>
      api.post<Order>(`/api/orders/${order.id}/hand-over`, {
        requestId: request.id,
        version: order.version,
        place,
        bags: shown.map((one) => ({ kind: one.kind, units: units(one) })),
        paid,
        tender,
        on: on || undefined,
      }),
    onClose,
  );
  return (
    <form
      noValidate
      className="space-y-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (!send.isPending) send.mutate(undefined);
      }}
    >
      {places.length > 1 && (
        <SelectField label="They are at" value={place} onChange={(event) => setPlace(event.target.value)}>
          {places.map((one) => (
            <option key={one}>{one}</option>
          ))}
        </SelectField>
      )}
      {shown.map((one, i) => (
        <TextField
          key={key(one)}
          label={one.words}
          inputMode="numeric"
          value={units(one)}
          hint={`${one.units} in stock`}
          error={send.problem?.on(`bags.${i}.units`)}
          onChange={(event) => setTyped({ ...typed, [key(one)]: event.target.value })}
        />
      ))}
      {send.problem?.on('bags') && <Notice>{send.problem.on('bags')}</Notice>}
      {!others && (
        <Button look="quiet" onClick={() => setOthers(true)}>
          Other bags, too
        </Button>
      )}
      <div className="grid grid-cols-2 gap-3">
        <TextField
          label="Paid for all of it"
          inputMode="decimal"
          value={paid}
          error={send.problem?.on('paid')}
          hint={
            order.depositPaidOn ? `${order.rest.amount} now, with the deposit of ${order.deposit.amount}` : ''
          }
          onChange={(event) => setPaid(event.target.value)}
        />
        <SelectField label="How" value={tender} onChange={(event) => setTender(event.target.value as Tender)}>
          <option value="CASH">in cash</option>
          <option value="CARD">by card</option>
          <option value="OTHER">by transfer or otherwise</option>
        </SelectField>
        <TextField
          label="On"
          type="date"
          value={on}
          hint="Empty for today."
          error={send.problem?.on('on')}
          onChange={(event) => setOn(event.target.value)}
        />
      </div>
      {send.problem && send.problem.errors.length === 0 && <ProblemNotice problem={send.problem} />}
      <Button type="submit" disabled={send.isPending}>
        Hand over
      </Button>
    </form>
  );
}

const key = (one: Bags) => `${one.place}\n${one.kind}`;
