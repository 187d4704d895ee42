import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Schemas } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { SelectField, TextField } from '../../../ui/Field';
import { ProblemNotice } from '../../../ui/Notice';
import { Panel } from '../../../ui/Panel';
import { useRequestId, useSend } from '../../../ui/useSend';

type Bags = Schemas['BuyersBags'];
type Ended = Schemas['CameBackForm']['ended'];

const ENDED: Record<Ended, string> = {
  INTO_STOCK: 'as good as new: into stock',
  SECONDS: 'among the seconds',
  SCRAPPED: 'scrapped',
  MENDED: 'mended, and given back',
};

/**
 * Bags of an order that a buyer has.
 *
 * @property name what the order is called: `order 7`
 * @property bags where the bags are read that the buyer has
 * @property send where it is sent what came back
 * @property said why, as far as the buyer said so
 * @property paid what is paid for them, written; absent where nothing is known of it
 */
type Returning = {
  name: string;
  bags: string;
  send: string;
  version: number;
  said?: string;
  paid?: string;
};

/** Which bags came back, why, what became of them, and what was paid back. */
export function CameBackPanel({ of, onClose }: { of: Returning; onClose: () => void }) {
  const { data, error } = useQuery({
    queryKey: ['bags-of-buyer', of.bags],
    queryFn: () => api.get<Bags[]>(of.bags),
    // What is typed refers to what was read when the panel opened.
    gcTime: 0,
    staleTime: Infinity,
  });
  return (
    <Panel title={`Bags of ${of.name} came back`} open onOpenChange={(open) => !open && onClose()}>
      {error ? (
        <ProblemNotice problem={error} />
      ) : data ? (
        <CameBackForm of={of} bags={data} onSent={onClose} />
      ) : (
        <p className="text-soft">Opening …</p>
      )}
    </Panel>
  );
}

function CameBackForm({ of, bags, onSent }: { of: Returning; bags: Bags[]; onSent: () => void }) {
  const request = useRequestId();
  const [units, setUnits] = useState<Record<string, string>>(() => {
    const [only, ...more] = bags;
    return only?.units === 1 && more.length === 0 ? { [only.kind]: '1' } : {};
  });
  const [ended, setEnded] = useState<Ended>('INTO_STOCK');
  const [reason, setReason] = useState(of.said ?? '');
  const [refund, setRefund] = useState('');
  const send = useSend(
    () =>
      api.post<unknown>(of.send, {
        requestId: request.id,
        version: of.version,
        ended,
        reason,
        refund,
        bags: bags.map((one) => ({ kind: one.kind, units: units[one.kind] ?? '' })),
      }),
    onSent,
  );
  const named = ['reason', 'refund', ...bags.map((_, i) => `bags.${i}.units`)];
  const isNamed = named.some((field) => send.problem?.on(field));
  return (
    <form
      noValidate
      className="space-y-3 text-left"
      onSubmit={(event) => {
        event.preventDefault();
        if (!send.isPending) send.mutate(undefined);
      }}
    >
      <ul className="m-0 list-none divide-y divide-line-faint p-0">
        {bags.map((one, i) => (
          <li key={one.kind} className="grid grid-cols-[1fr_96px] items-center gap-3 py-1">
            <span>
              <b>{one.words}</b>
              <span className="block text-[13px] text-soft">the customer has {one.units}</span>
            </span>
            <TextField
              label={`How many of ${one.words}`}
              hideLabel
              inputMode="numeric"
              value={units[one.kind] ?? ''}
              error={send.problem?.on(`bags.${i}.units`)}
              onChange={(event) => setUnits({ ...units, [one.kind]: event.target.value })}
            />
          </li>
        ))}
      </ul>
      <SelectField
        label="What became of them"
        value={ended}
        onChange={(event) => setEnded(event.target.value as Ended)}
      >
        {Object.entries(ENDED).map(([key, words]) => (
          <option key={key} value={key}>
            {words}
          </option>
        ))}
      </SelectField>
      <TextField
        label="Why"
        placeholder="The zip came out of its seam …"
        hint="It is noted at the design, and comes up when that is made again."
        maxLength={300}
        value={reason}
        error={send.problem?.on('reason')}
        onChange={(event) => setReason(event.target.value)}
      />
      <TextField
        label="Money given back"
        inputMode="decimal"
        hint={`${of.paid ? `of ${of.paid}; ` : ''}empty for nothing, or for all of it where all bags came back`}
        value={refund}
        error={send.problem?.on('refund')}
        onChange={(event) => setRefund(event.target.value)}
      />
      {send.problem && !isNamed && <ProblemNotice problem={send.problem} />}
      <Button type="submit" disabled={send.isPending}>
        Book it
      </Button>
    </form>
  );
}
