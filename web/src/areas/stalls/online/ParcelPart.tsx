import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, type Schemas } from '../../../api/client';
import { FileLink } from '../../../ui/Button';
import { ProblemNotice } from '../../../ui/Notice';
import { sides, useUnits } from '../../../ui/units';

/** What the parcel of an order weighs and measures, what it costs to each zone, and the papers that go along. */
export function ParcelPart({ orderId }: { orderId: number }) {
  const units = useUnits();
  const { data, error } = useQuery({
    queryKey: ['posting', 'order', orderId],
    queryFn: () => api.get<Schemas['ParcelView']>(`/api/posting/orders/${orderId}`),
  });
  if (error) return <ProblemNotice problem={error} />;
  if (!data) return <p className="text-soft">Opening …</p>;
  return (
    <div className="space-y-2">
      <p>
        <b>{data.weight.text}</b>, lying flat {sides(units.own(data.longest), units.own(data.middle))},{' '}
        {units.own(data.shortest)} thick
      </p>
      {data.missing.length > 0 && (
        <p className="text-weld">
          Nobody said what these weigh: {data.missing.join('; ')}.{' '}
          <Link className="font-semibold text-woad underline" to="/stalls/posting">
            Weigh one
          </Link>
        </p>
      )}
      {data.zones.length === 0 ? (
        <p className="text-soft">
          The postage table is empty.{' '}
          <Link className="font-semibold text-woad underline" to="/stalls/posting">
            Enter what the post asks for
          </Link>
        </p>
      ) : (
        <dl className="grid grid-cols-[auto_1fr_auto] gap-x-4 gap-y-0.5">
          {data.zones.map((zone) => (
            <div key={zone.zone} className="contents">
              <dt className="font-semibold">{zone.zone}</dt>
              <dd>{zone.rate ?? <span className="text-soft">{zone.why}</span>}</dd>
              <dd className="text-right">{zone.price?.amount}</dd>
            </div>
          ))}
        </dl>
      )}
      <p className="text-[13px] text-soft">
        {data.postagePaid.amount} was paid for postage. For customs, if it goes abroad: {data.customs}. Rules
        differ: ask where it is posted.
      </p>
      <FileLink href={`/api/posting/orders/${orderId}/parcel.pdf`}>Label and card as PDF</FileLink>
    </div>
  );
}
