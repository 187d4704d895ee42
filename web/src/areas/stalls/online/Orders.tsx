import { useState } from 'react';
import { Link } from 'react-router';
import { api, type Schemas } from '../../../api/client';
import { useAnsweredOrders } from '../../../api/queries';
import { Button } from '../../../ui/Button';
import { FindField } from '../../../ui/FindField';
import { More } from '../../../ui/More';
import { ProblemNotice } from '../../../ui/Notice';
import { Tag } from '../../../ui/Tag';
import { day, fullDay } from '../../../ui/units';
import { useSend } from '../../../ui/useSend';
import { useSettled } from '../../../ui/useSettled';
import { CameBackPanel } from '../returns/CameBackPanel';
import { ParcelPart } from './ParcelPart';

type Shop = Schemas['OnlineShopView'];
type Order = Schemas['ShopOrderView'];

const STATES: Record<Order['state'], string> = {
  RESERVED: 'put aside',
  SHORT: 'bags missing',
  POSTED: 'posted',
  ARRIVED: 'arrived',
  CAME_BACK: 'came back',
  CANCELLED: 'cancelled',
};

/** Orders that wait to be posted, the oldest first. */
export function OpenOrders({ orders }: { orders: Order[] }) {
  return (
    <section aria-label="To be posted" className="space-y-3">
      {orders.length === 0 && <p className="sheet p-4 text-soft">No order waits to be posted.</p>}
      {orders.map((order) => (
        <OpenOrder key={order.id} order={order} />
      ))}
    </section>
  );
}

/** Orders that don’t wait any more, the latest first. */
export function OrdersBefore() {
  const [find, setFind] = useState('');
  const found = useAnsweredOrders(useSettled(find, 150));
  return (
    <>
      {found.error && <ProblemNotice problem={found.error} />}
      {found.items && (found.items.length > 0 || find !== '') && (
        <section className="sheet overflow-x-auto px-4 py-2" aria-label="Orders before">
          <div className="flex flex-wrap items-center justify-between gap-3 py-1">
            <h2>Orders before</h2>
            <FindField label="Find orders" placeholder="Number, buyer …" value={find} onType={setFind} />
          </div>
          <table className="listing">
            <thead>
              <tr>
                <th>Order</th>
                <th>Bags</th>
                <th className="num">Paid</th>
                <th>State</th>
                <th>
                  <span className="sr-only">What happens</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {found.items.map((order) => (
                <AnsweredOrder key={order.id} order={order} />
              ))}
            </tbody>
          </table>
          <More list={found} />
        </section>
      )}
    </>
  );
}

const useStep = (order: Order, step: 'posted' | 'arrived' | 'forgotten') =>
  useSend(() => api.put<Shop>(`/api/online-shop/orders/${order.id}/${step}`, { version: order.version }));

/** A new batch of the bags that an order lacks, due when it is to be posted if that is still to come. */
function newBatch(order: Order, { toMake, missing }: Order['lines'][number]) {
  const begun = new URLSearchParams({ units: String(missing), for: order.forWhat });
  if (toMake) {
    begun.set('design', String(toMake.designId));
    begun.set('size', toMake.sizeName);
    if (toMake.slot) {
      begun.set('slot', toMake.slot);
      begun.set('material', String(toMake.materialId));
    }
  }
  if (order.postBy && !order.late) begun.set('due', order.postBy);
  return `/batches/new?${begun.toString()}`;
}

/** An order as the card that goes on its parcel: to whom, what, by when. */
function OpenOrder({ order }: { order: Order }) {
  const post = useStep(order, 'posted');
  const [parcel, setParcel] = useState(false);
  return (
    <article
      className="sheet grid gap-4 p-4 md:grid-cols-[1fr_220px_auto]"
      aria-label={`Order ${order.number}`}
    >
      <div>
        <h2 className="flex flex-wrap items-center gap-2">
          {order.number}
          <Tag look={order.state === 'SHORT' ? 'bad' : 'ok'}>{STATES[order.state]}</Tag>
          {order.postBy && (
            <Tag look={order.late ? 'bad' : 'plain'}>
              {order.late ? 'late: post by ' : 'post by '}
              {day(order.postBy)}
            </Tag>
          )}
        </h2>
        <ul className="mt-1">
          {order.lines.map((line, i) => (
            <li key={i}>
              <b>{line.units} ×</b> {line.words} <span className="text-soft">at {line.price.amount}</span>
              {line.missing > 0 && (
                <span className="font-bold whitespace-nowrap text-madder"> · {line.missing} missing</span>
              )}
              {line.toMake && (
                <Link className="ml-2 font-semibold text-woad underline" to={newBatch(order, line)}>
                  Make {line.missing}
                </Link>
              )}
              {line.batchId !== undefined && (
                <span className="whitespace-nowrap">
                  , made in{' '}
                  <Link className="font-semibold text-woad underline" to={`/batches/${line.batchId}`}>
                    batch {line.batchId}
                  </Link>
                </span>
              )}
            </li>
          ))}
        </ul>
        <p className="mt-1 text-soft">
          {order.paid.amount} paid, {order.postage.amount} of it for postage
        </p>
        {order.wantsBack && <p className="text-weld">The buyer wrote: {order.wantsBack}</p>}
        {post.problem && <ProblemNotice problem={post.problem} />}
      </div>
      {order.buyer && (
        <address className="rounded border-2 border-dashed border-line-strong px-3 py-2 text-[15px] not-italic">
          {order.buyer.address.map((line, i) => (
            <span key={i} className="block">
              {line}
            </span>
          ))}
        </address>
      )}
      <Button
        className="self-center"
        disabled={order.state === 'SHORT' || post.isPending}
        aria-label={`${order.number} is posted`}
        onClick={() => post.mutate(undefined)}
      >
        It is posted
      </Button>
      {parcel ? (
        <section
          className="border-t border-line-faint pt-3 md:col-span-3"
          aria-label={`Parcel of ${order.number}`}
        >
          <ParcelPart orderId={order.id} />
        </section>
      ) : (
        <div className="md:col-span-3">
          <Button look="quiet" aria-label={`Parcel of ${order.number}`} onClick={() => setParcel(true)}>
            Parcel and postage
          </Button>
        </div>
      )}
    </article>
  );
}

function AnsweredOrder({ order }: { order: Order }) {
  const arrive = useStep(order, 'arrived');
  const forget = useStep(order, 'forgotten');
  const [back, setBack] = useState(false);
  const problem = arrive.problem ?? forget.problem;
  return (
    <tr>
      <td>
        <b className="whitespace-nowrap">{order.number}</b>
        <span className="block text-[13px] text-soft">{order.buyer?.name ?? 'forgotten'}</span>
      </td>
      <td>
        {order.lines.map((line, i) => (
          <span key={i} className="block">
            {line.units} × {line.words}
          </span>
        ))}
        {order.wantsBack && <span className="block text-[13px] text-weld">{order.wantsBack}</span>}
        {order.cameBack && <span className="block text-[13px] text-soft">{order.cameBack}</span>}
        {problem && <ProblemNotice problem={problem} />}
      </td>
      <td className="num">
        {order.paid.amount}
        {order.refunded && (
          <span className="block whitespace-nowrap text-[13px] text-soft">
            {order.refunded.amount} given back
            {!order.refundTold && <span className="block text-weld">the shop isn’t told yet</span>}
          </span>
        )}
      </td>
      <td className="whitespace-nowrap">
        {STATES[order.state]}
        {order.postedOn && (
          <span className="block text-[13px] text-soft">{fullDay(order.arrivedOn ?? order.postedOn)}</span>
        )}
        {order.paidOut && <span className="block text-[13px] text-moss">paid out</span>}
      </td>
      <td className="num whitespace-nowrap">
        {order.state === 'POSTED' && (
          <Small label={`${order.number} arrived`} onClick={() => arrive.mutate(undefined)}>
            Arrived
          </Small>
        )}
        {(order.state === 'POSTED' || order.state === 'ARRIVED') && (
          <Small label={`${order.number} came back`} onClick={() => setBack(true)}>
            Came back
          </Small>
        )}
        {order.buyer && (
          <Small label={`Forget who ordered ${order.number}`} onClick={() => forget.mutate(undefined)}>
            Forget who
          </Small>
        )}
        {back && (
          <CameBackPanel
            of={{
              name: `order ${order.number}`,
              bags: `/api/online-shop/orders/${order.id}/buyers-bags`,
              send: `/api/online-shop/orders/${order.id}/came-back`,
              version: order.version,
              said: order.wantsBack,
              paid: order.stillPaid.amount,
            }}
            onClose={() => setBack(false)}
          />
        )}
      </td>
    </tr>
  );
}

function Small({ label, onClick, children }: { label: string; onClick: () => void; children: string }) {
  return (
    <button
      type="button"
      className="min-h-11 px-2 font-semibold text-woad hover:underline"
      aria-label={label}
      onClick={onClick}
    >
      {children}
    </button>
  );
}
