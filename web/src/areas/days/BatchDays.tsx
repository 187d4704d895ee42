import { Link } from 'react-router';
import { useDays } from '../../api/queries';
import { day } from '../../ui/units';
import { Sure } from './Outlooks';

/** When one batch is done, and how sure that is. */
export function BatchDays({ batchId }: { batchId: number }) {
  const { data } = useDays(1);
  const its = data?.batches.find((one) => one.batchId === batchId);
  if (!its) return null;
  return (
    <section
      className="sheet no-print flex flex-wrap items-center justify-between gap-x-5 gap-y-1 px-4 py-2.5"
      aria-label="When it is done"
    >
      <div>
        {its.ready ? (
          <>
            Ready <b>{day(its.ready)}</b>
            {its.likely && its.likely !== its.ready && `, likely by ${day(its.likely)}`}
          </>
        ) : (
          <b>{its.waits || 'Not within a year of free hours'}</b>
        )}
        <span className="text-soft">
          {' '}
          · {its.left.text} left
          {its.to.seconds > its.from.seconds && `, likely ${its.from.text} to ${its.to.text}`}
          {its.lastBegin && ` · begin it on ${day(its.lastBegin)} at the latest`}
        </span>
      </div>
      {its.due && its.ready && (
        <div className="w-[220px]">
          <Sure batch={its} due={its.due} />
        </div>
      )}
      <Link to="/bench/days" className="font-semibold text-woad hover:underline">
        The days
      </Link>
      {its.putAway && <p className="w-full text-[14px] text-soft">{its.putAway}</p>}
    </section>
  );
}
