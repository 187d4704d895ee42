import type { Schemas } from '../../../api/client';
import { usePayouts } from '../../../api/queries';
import { More } from '../../../ui/More';
import { ProblemNotice } from '../../../ui/Notice';
import { Tag } from '../../../ui/Tag';
import { fullDay, unsigned } from '../../../ui/units';

type Line = Schemas['PayoutLineView'];

/** Orders that the shop should have paid out by now, and hasn’t. */
export function Unpaid({ orders }: { orders: Schemas['ShopOrderView'][] }) {
  if (orders.length === 0) return null;
  return (
    <section className="sheet overflow-x-auto px-4 py-2" aria-label="Not paid out">
      <h2 className="py-1">
        Not paid out <Tag look="bad">{orders.length}</Tag>
      </h2>
      <p className="text-soft">Posted a fortnight ago or longer, and in no payout yet. Ask the shop.</p>
      <table className="listing">
        <thead>
          <tr>
            <th>Order</th>
            <th>Posted</th>
            <th className="num">Paid by the buyer</th>
          </tr>
        </thead>
        <tbody>
          {orders.map((order) => (
            <tr key={order.id}>
              <td>{order.number}</td>
              <td>{order.postedOn && fullDay(order.postedOn)}</td>
              <td className="num">{order.paid.amount}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

/** What the shop paid out, held against its orders; what doesn’t match stands open. */
export function Payouts() {
  const payouts = usePayouts();
  if (payouts.error) return <ProblemNotice problem={payouts.error} />;
  if (!payouts.items || payouts.items.length === 0) return null;
  return (
    <section className="sheet overflow-x-auto px-4 py-2" aria-label="Paid out">
      <h2 className="py-1">Paid out</h2>
      {payouts.items.map((payout) => (
        <details key={payout.id} open={!payout.clean} className="border-t border-line-faint py-1.5">
          <summary className="flex min-h-11 cursor-pointer flex-wrap items-center gap-3">
            <b>{payout.name}</b>
            <span className="text-soft">{fullDay(payout.paidAt)}</span>
            <span className="ml-auto font-bold tabular-nums">{payout.total.amount}</span>
            <Tag look={payout.clean ? 'ok' : 'bad'}>{payout.clean ? 'matches' : 'doesn’t match'}</Tag>
          </summary>
          {payout.off.minor !== 0 && (
            <p className="text-madder">
              It is {unsigned(payout.off.amount)} {payout.off.minor > 0 ? 'more' : 'less'} than its own lines.
            </p>
          )}
          <table className="listing">
            <thead>
              <tr>
                <th>Order</th>
                <th className="num">Paid</th>
                <th className="num">Fees</th>
                <th>Found</th>
              </tr>
            </thead>
            <tbody>
              {payout.lines.map((line, i) => (
                <tr key={i}>
                  <td>
                    {line.order}
                    {line.paid.minor < 0 && <span className="text-soft"> paid back</span>}
                  </td>
                  <td className="num">{line.paid.amount}</td>
                  <td className="num">{line.fee.amount}</td>
                  <td className={line.finding === 'MATCHES' ? 'text-soft' : 'font-bold text-madder'}>
                    {found(line)}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </details>
      ))}
      <More list={payouts} />
    </section>
  );
}

function found(line: Line) {
  const off = `${unsigned(line.off.amount)} too ${line.off.minor > 0 ? 'much' : 'little'}`;
  switch (line.finding) {
    case 'MATCHES':
      return line.with.length > 0 ? `with ${line.with.join(', ')}` : 'as it should be';
    case 'NO_SUCH_ORDER':
      return 'no such order';
    case 'PAID_BEFORE':
      return line.paid.minor < 0 ? 'was taken back before' : 'was paid out before';
    case 'CANCELLED':
      return 'was cancelled';
    case 'NOTHING_PAID_BACK':
      return 'nothing was paid back for it';
    case 'OTHER_PAYMENT':
      return line.paid.minor < 0
        ? `${unsigned(line.off.amount)} too ${line.off.minor > 0 ? 'little' : 'much'} paid back`
        : `another payment: ${off}`;
    case 'OTHER_FEE':
      return line.paid.minor < 0
        ? `${unsigned(line.off.amount)} too ${line.off.minor > 0 ? 'much' : 'little'} of the fee given back`
        : `fee ${unsigned(line.off.amount)} too ${line.off.minor > 0 ? 'low' : 'high'}`;
  }
}
