import { useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../../api/client';
import { useOrders } from '../../../api/queries';
import { ButtonLink } from '../../../ui/Button';
import { FindField } from '../../../ui/FindField';
import { More } from '../../../ui/More';
import { ProblemNotice } from '../../../ui/Notice';
import { Tag } from '../../../ui/Tag';
import { day, fullDay } from '../../../ui/units';
import { useLast } from '../../../ui/useLast';
import { useSettled } from '../../../ui/useSettled';
import { useTitle } from '../../../ui/useTitle';

type Row = Schemas['CustomerOrderRow'];

/** Private orders: those that are open, the one due first in front, and those that are closed. */
export default function OrdersPage() {
  useTitle('Private orders');
  const [find, setFind] = useState('');
  const closed = useOrders(useSettled(find, 150));
  const open = useLast(closed.first?.open);
  if (!open) {
    return closed.error ? <ProblemNotice problem={closed.error} /> : <p className="text-soft">Opening …</p>;
  }
  return (
    <>
      <header className="mb-3 flex flex-wrap items-end justify-between gap-3">
        <div>
          <Link className="inline-block min-h-6 text-soft hover:underline" to="/stalls">
            Stalls
          </Link>
          <h1>Private orders</h1>
        </div>
        <ButtonLink to="/prices/quotes/new">New quote</ButtonLink>
      </header>
      {closed.error && <ProblemNotice problem={closed.error} />}
      {open.length === 0 && closed.items?.length === 0 && find === '' ? (
        <section className="sheet max-w-[640px] p-5">
          <h2>No orders yet</h2>
          <p className="text-soft">
            An order comes of a quote that is accepted. Write a quote: it says what the bags cost and by when
            they are done.
          </p>
        </section>
      ) : (
        <>
          <section className="mb-4 grid gap-3 lg:grid-cols-2" aria-label="Open orders">
            {open.length === 0 && <p className="sheet p-4 text-soft">No order is open.</p>}
            {open.map((order) => (
              <OpenOrder key={order.id} order={order} />
            ))}
          </section>
          {closed.items && (closed.items.length > 0 || find !== '') && (
            <section className="sheet overflow-x-auto px-4 py-2" aria-label="Closed orders">
              <div className="flex flex-wrap items-center justify-between gap-3 py-1">
                <h2>Closed orders</h2>
                <FindField label="Find orders" placeholder="Number, who …" value={find} onType={setFind} />
              </div>
              <ClosedOrders orders={closed.items} />
              <More list={closed} />
            </section>
          )}
        </>
      )}
    </>
  );
}

function OpenOrder({ order }: { order: Row }) {
  return (
    <article className="sheet space-y-1 p-4">
      <div className="flex flex-wrap items-baseline justify-between gap-2">
        <Link
          className="text-lg font-bold text-woad hover:underline"
          to={`/stalls/orders/${order.id}`}
        >{`Order ${order.id}, ${order.who}`}</Link>
        <b className="text-lg">{order.total.amount}</b>
      </div>
      {order.lines.map((line) => (
        <p key={line}>{line}</p>
      ))}
      <p className="flex flex-wrap items-center gap-2">
        {order.dueOn && (
          <Tag look={order.isLate ? 'bad' : 'plain'}>
            {order.isLate ? 'late: was due' : 'due'} {day(order.dueOn)}
          </Tag>
        )}
        <Made order={order} />
      </p>
    </article>
  );
}

/** How far its bags are. */
export function Made({ order }: { order: Pick<Row, 'made' | 'units'> }) {
  if (order.made === 0) return <span className="text-soft">to be made</span>;
  if (order.made >= order.units) return <Tag look="ok">all made</Tag>;
  return (
    <Tag look="care">
      {order.made} of {order.units} made
    </Tag>
  );
}

const STATES: Record<Row['state'], string> = {
  AGREED: 'open',
  HANDED_OVER: 'handed over',
  CAME_BACK: 'came back',
  CANCELLED: 'cancelled',
};

function ClosedOrders({ orders }: { orders: Row[] }) {
  return (
    <table className="listing">
      <thead>
        <tr>
          <th>Order</th>
          <th>Bags</th>
          <th className="num">Agreed</th>
          <th>State</th>
          <th>On</th>
        </tr>
      </thead>
      <tbody>
        {orders.map((order) => (
          <tr key={order.id}>
            <td>
              <Link className="font-semibold text-woad hover:underline" to={`/stalls/orders/${order.id}`}>
                {`Order ${order.id}`}
              </Link>
              <span className="block text-[13px] text-soft">{order.who || 'forgotten'}</span>
            </td>
            <td>{order.lines.join('; ')}</td>
            <td className="num">{order.total.amount}</td>
            <td>{STATES[order.state]}</td>
            <td className="whitespace-nowrap">{order.closedOn && fullDay(order.closedOn)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
