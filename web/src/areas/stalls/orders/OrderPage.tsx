import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, type Schemas } from '../../../api/client';
import { useOrder } from '../../../api/queries';
import { Button, FileLink } from '../../../ui/Button';
import { TextField } from '../../../ui/Field';
import { Notice, ProblemNotice } from '../../../ui/Notice';
import { Panel } from '../../../ui/Panel';
import { Tag } from '../../../ui/Tag';
import { fullDay } from '../../../ui/units';
import { useLines } from '../../../ui/useLines';
import { useSend } from '../../../ui/useSend';
import { useTitle } from '../../../ui/useTitle';
import { CameBackPanel } from '../returns/CameBackPanel';
import { HandOverPanel } from './HandOverPanel';
import { Made } from './OrdersPage';

type Order = Schemas['CustomerOrderView'];

const TENDERS: Record<NonNullable<Order['tender']>, string> = {
  CASH: 'in cash',
  CARD: 'by card',
  OTHER: 'by transfer or otherwise',
};

/** One private order: what was agreed, how far it is, what was said, and what became of it. */
export default function OrderPage() {
  const id = Number(useParams().id);
  const { data: order, error } = useOrder(id);
  useTitle(`Order ${id}${order?.who ? `, ${order.who}` : ''}`);
  if (error) return <ProblemNotice problem={error} />;
  if (!order) return <p className="text-soft">Opening …</p>;
  return (
    <>
      <header className="mb-3">
        <Link className="inline-block min-h-6 text-soft hover:underline" to="/stalls/orders">
          Private orders
        </Link>
        <h1>{`Order ${order.id}${order.who ? `, ${order.who}` : ''}`}</h1>
        {order.reach && <p className="text-soft">{order.reach}</p>}
      </header>
      <div className="grid items-start gap-4 lg:grid-cols-[1fr_380px]">
        <div className="space-y-4">
          <Agreed order={order} />
          <Notes order={order} />
        </div>
        <State order={order} />
      </div>
    </>
  );
}

function Agreed({ order }: { order: Order }) {
  const aside = useStep(order, 'put-aside');
  return (
    <section className="sheet space-y-1 p-4" aria-label="What was agreed">
      <h2>What was agreed</h2>
      {order.lines.map((line) => (
        <p key={line}>{line}</p>
      ))}
      <p className="text-soft">
        Agreed on {fullDay(order.agreedOn)}, by{' '}
        <Link className="font-semibold text-woad hover:underline" to={`/prices/quotes/${order.quoteId}`}>
          quote {order.quoteId}
        </Link>
        , version {order.quoteNumber}
        {order.dueOn && `; wanted by ${fullDay(order.dueOn)}`}
      </p>
      {order.batchId !== undefined && (
        <p className="flex flex-wrap items-center gap-2">
          <Link className="font-semibold text-woad hover:underline" to={`/batches/${order.batchId}`}>
            Batch {order.batchId}
          </Link>
          {order.state === 'AGREED' && <Made order={order} />}
        </p>
      )}
      {order.state === 'AGREED' && order.putAside > 0 && (
        <p>
          <Tag look="ok">{order.putAside} put aside</Tag> at “order {order.id}”
        </p>
      )}
      {order.state === 'AGREED' && order.atHome > 0 && order.putAside < order.units && (
        <div className="flex flex-wrap items-center gap-3">
          <Button look="quiet" disabled={aside.isPending} onClick={() => aside.mutate({})}>
            Put aside for this order
          </Button>
          <span className="text-[13px] text-soft">
            {order.atHome} at home, where they could be packed for a fair.
          </span>
        </div>
      )}
      <ProblemNotice problem={aside.problem} />
    </section>
  );
}

const useStep = (order: Order, step: string, then?: () => void) =>
  useSend(
    (more: object) => api.post<Order>(`/api/orders/${order.id}/${step}`, { version: order.version, ...more }),
    then,
  );

/** What it costs, what is paid, and what happens with it. */
function State({ order }: { order: Order }) {
  const [asking, setAsking] = useState<'hand-over' | 'cancel' | 'forget' | 'came-back'>();
  const deposit = useStep(order, 'deposit');
  const open = useStep(order, 'open-again');
  const close = () => setAsking(undefined);
  return (
    <section className="sheet space-y-3 p-4" aria-label="How it stands">
      <dl className="grid grid-cols-[1fr_auto] gap-y-1">
        <dt>Agreed</dt>
        <dd className="text-right font-bold">{order.total.amount}</dd>
        {order.state === 'AGREED' && order.depositPaidOn && (
          <>
            <dt>Deposit, paid on {fullDay(order.depositPaidOn)}</dt>
            <dd className="text-right">−{order.deposit.amount}</dd>
            <dt className="font-bold">Still to be paid</dt>
            <dd className="text-right text-lg font-bold">{order.rest.amount}</dd>
          </>
        )}
        {order.paid && (
          <>
            <dt>Paid, {order.tender && TENDERS[order.tender]}</dt>
            <dd className="text-right text-lg font-bold">{order.paid.amount}</dd>
          </>
        )}
      </dl>
      {order.state === 'AGREED' && (
        <>
          {order.isLate && order.dueOn && (
            <Notice look="care">It was wanted by {fullDay(order.dueOn)}.</Notice>
          )}
          {order.deposit.minor > 0 && (
            <label className="flex min-h-11 items-center gap-2">
              <input
                type="checkbox"
                className="size-5"
                checked={order.depositPaidOn !== undefined}
                disabled={deposit.isPending}
                onChange={(event) => deposit.mutate({ paid: event.target.checked })}
              />
              Deposit of {order.deposit.amount} is paid
            </label>
          )}
          <div className="flex flex-wrap gap-2">
            <Button onClick={() => setAsking('hand-over')}>Hand over</Button>
            <Button look="quiet" onClick={() => setAsking('cancel')}>
              Cancel the order
            </Button>
          </div>
        </>
      )}
      {order.state === 'HANDED_OVER' && order.closedOn && (
        <p>
          <Tag look="ok">handed over</Tag> on {fullDay(order.closedOn)}
          {order.reason && <span className="block text-soft">Came back since: {order.reason}</span>}
        </p>
      )}
      {order.state === 'CAME_BACK' && (
        <Notice look="care">All of it came back{order.reason && `: ${order.reason}`}</Notice>
      )}
      {order.state === 'CANCELLED' && order.closedOn && (
        <Notice look="care">
          Cancelled on {fullDay(order.closedOn)}
          {order.reason && `: ${order.reason}`}
          {order.depositPaidOn &&
            (order.depositKept
              ? `. The deposit of ${order.deposit.amount} was kept.`
              : `. The deposit of ${order.deposit.amount} was given back.`)}
        </Notice>
      )}
      {order.state !== 'AGREED' && !order.forgotten && (
        <div className="flex flex-wrap gap-2">
          {order.state === 'HANDED_OVER' && (
            <Button look="quiet" onClick={() => setAsking('came-back')}>
              Something came back
            </Button>
          )}
          {order.state !== 'CAME_BACK' && (
            <Button look="quiet" disabled={open.isPending} onClick={() => open.mutate({})}>
              Open it again
            </Button>
          )}
          <Button look="quiet" onClick={() => setAsking('forget')}>
            Forget who ordered …
          </Button>
        </div>
      )}
      <ProblemNotice problem={deposit.problem ?? open.problem} />
      {!order.forgotten && (
        <FileLink href={`/api/quotes/${order.quoteId}/customer.json`}>
          All that is kept of the customer
        </FileLink>
      )}
      {order.forgotten && <p className="text-soft">Who ordered it is forgotten; the figures stay.</p>}
      {asking === 'hand-over' && <HandOverPanel order={order} onClose={close} />}
      {asking === 'came-back' && (
        <CameBackPanel
          of={{
            name: `order ${order.id}`,
            bags: `/api/orders/${order.id}/customers-bags`,
            send: `/api/orders/${order.id}/came-back`,
            version: order.version,
            paid: order.paid?.amount,
          }}
          onClose={close}
        />
      )}
      {asking === 'cancel' && <CancelPanel order={order} onClose={close} />}
      {asking === 'forget' && <ForgetPanel order={order} onClose={close} />}
    </section>
  );
}

function CancelPanel({ order, onClose }: { order: Order; onClose: () => void }) {
  const [reason, setReason] = useState('');
  const [keepsDeposit, setKeepsDeposit] = useState(false);
  const cancel = useStep(order, 'cancel', onClose);
  return (
    <Panel title="Cancel the order" open onOpenChange={(isOpen) => !isOpen && onClose()}>
      <form
        noValidate
        className="space-y-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (!cancel.isPending) cancel.mutate({ reason, keepsDeposit });
        }}
      >
        <TextField
          label="Why, as far as you know"
          maxLength={500}
          value={reason}
          onChange={(event) => setReason(event.target.value)}
        />
        {order.depositPaidOn && (
          <label className="flex min-h-11 items-center gap-2">
            <input
              type="checkbox"
              className="size-5"
              checked={keepsDeposit}
              onChange={(event) => setKeepsDeposit(event.target.checked)}
            />
            I keep the deposit of {order.deposit.amount}
          </label>
        )}
        {order.batchId !== undefined && (
          <p className="text-soft">Batch {order.batchId} stays planned. Cancel it on its own page.</p>
        )}
        <ProblemNotice problem={cancel.problem} />
        <Button type="submit" disabled={cancel.isPending}>
          Cancel the order
        </Button>
      </form>
    </Panel>
  );
}

function ForgetPanel({ order, onClose }: { order: Order; onClose: () => void }) {
  const forget = useSend(async () => {
    const quote = await api.get<Schemas['QuoteView']>(`/api/quotes/${order.quoteId}`);
    return api.post(`/api/quotes/${order.quoteId}/forget`, { version: quote.form.version });
  }, onClose);
  return (
    <Panel title="Forget who ordered" open onOpenChange={(isOpen) => !isOpen && onClose()}>
      <div className="space-y-3">
        <p>
          The name, how to reach {order.who || 'them'}, what was said, and the words of wishes go for good,
          from the quote, its versions, the order and its batch. What was agreed and paid stays.
        </p>
        <p className="text-soft">Backups that were made before still hold it, until they are a year old.</p>
        <ProblemNotice problem={forget.problem} />
        <Button disabled={forget.isPending} onClick={() => forget.mutate(undefined)}>
          Forget
        </Button>
      </div>
    </Panel>
  );
}

/** What was said with the customer, the latest first. */
function Notes({ order }: { order: Order }) {
  const note = useLines((line) => api.post<Order>(`/api/orders/${order.id}/notes`, { ...line }));
  if (order.forgotten) return null;
  return (
    <section className="sheet space-y-2 p-4" aria-label="What was said">
      <h2>What was said</h2>
      <form
        noValidate
        className="flex flex-wrap items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          note.enter();
        }}
      >
        <div className="min-w-[240px] flex-1">
          <TextField
            label="A message, a call, a wish"
            maxLength={1000}
            value={note.text}
            error={note.error}
            onChange={(event) => note.type(event.target.value)}
          />
        </div>
        <Button look="quiet" type="submit">
          Note it
        </Button>
      </form>
      <ul className="divide-y divide-line-faint">
        {order.notes.map((one) => (
          <li key={one.id} className="py-1.5">
            <span className="block text-[13px] text-soft">{fullDay(one.writtenOn)}</span>
            <span className="whitespace-pre-wrap">{one.text}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
