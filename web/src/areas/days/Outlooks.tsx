import { Link } from 'react-router';
import { api, type Schemas } from '../../api/client';
import { ProblemNotice } from '../../ui/Notice';
import { Tag } from '../../ui/Tag';
import { day } from '../../ui/units';
import { useSend } from '../../ui/useSend';

type Outlook = Schemas['OutlookView'];

/** When each batch is done, how sure that is, and what would bring it in time. */
export function Outlooks({ batches }: { batches: Outlook[] }) {
  return (
    <section className="sheet px-4 py-3" aria-label="When each batch is done">
      <h2>When each batch is done</h2>
      {batches.length === 0 && <p className="text-soft">Nothing is planned.</p>}
      {batches.map((batch) => (
        <div key={batch.batchId} className="border-line py-2.5 not-first-of-type:border-t">
          <div className="flex items-baseline justify-between gap-2">
            <Link to={`/batches/${batch.batchId}`} className="font-bold text-ink hover:underline">
              {batch.name}
            </Link>
            <span className="whitespace-nowrap">
              {batch.ready ? (
                <>
                  ready <b>{day(batch.ready)}</b>
                </>
              ) : (
                !batch.waits && <b>not within a year</b>
              )}
            </span>
          </div>
          <div className="text-[13px] text-soft">
            batch {batch.batchId}
            {batch.forWhat && ` for ${batch.forWhat}`} · {batch.left.text} left
            {batch.to.seconds > batch.from.seconds && `, likely ${batch.from.text} to ${batch.to.text}`}
            {batch.likely && batch.likely !== batch.ready && ` · likely by ${day(batch.likely)}`}
          </div>
          <First batch={batch} />
          {batch.waits && (
            <div className="mt-1">
              <Tag look="bad">waits</Tag> {batch.waits}
            </div>
          )}
          {batch.due && !batch.waits && <Sure batch={batch} due={batch.due} />}
          {batch.putAway && <div className="mt-1 text-[13px] text-soft">{batch.putAway}</div>}
          {batch.missing && (
            <div className="mt-1 text-[13px]">
              {batch.missing.text} more free time by {batch.due && day(batch.due)} would do
              {batch.inTimeWithout.length > 0 && (
                <>
                  , or putting off{' '}
                  {batch.inTimeWithout.map((other, i) => (
                    <span key={other.batchId}>
                      {i > 0 && ' or '}
                      <Link
                        to={`/batches/${other.batchId}`}
                        className="text-woad underline decoration-line-strong hover:decoration-woad"
                      >
                        {other.name}
                      </Link>
                    </span>
                  ))}
                </>
              )}
              .
            </div>
          )}
          {batch.lastBegin && (
            <div className="mt-1 text-[13px]">Begin it on {day(batch.lastBegin)} at the latest.</div>
          )}
        </div>
      ))}
    </section>
  );
}

/** Puts a batch before all others, or in its turn again. */
function First({ batch }: { batch: Outlook }) {
  const put = useSend((first: boolean) =>
    api.put<void>(`/api/batches/${batch.batchId}/first`, { version: batch.version, first }),
  );
  return (
    <div className="no-print flex items-center gap-2 text-[13px]">
      {batch.first && <Tag look="plain">before all others</Tag>}
      <button
        type="button"
        className="min-h-9 font-semibold text-woad hover:underline"
        aria-label={batch.first ? `${batch.name} in its turn again` : `Do ${batch.name} first`}
        onClick={() => !put.isPending && put.mutate(!batch.first)}
      >
        {batch.first ? 'in its turn' : 'do it first'}
      </button>
      <ProblemNotice problem={put.problem} />
    </div>
  );
}

/** How sure it is that a batch is done by its day, as a seam that is sewn so far. */
export function Sure({ batch, due }: { batch: Outlook; due: string }) {
  const share = batch.surePercent ?? 0;
  const look = batch.late || share < 50 ? 'bad' : share < 80 ? 'care' : 'ok';
  const colour = { bad: '#a2382c', care: '#6f5100', ok: '#2c6a45' }[look];
  return (
    <div className="mt-1">
      <Tag look={look}>
        {share} % sure for {batch.forWhat || day(due)}
      </Tag>
      <svg viewBox="0 0 200 8" className="mt-1 block h-2 w-full" preserveAspectRatio="none" aria-hidden>
        <path d="M2 4H198" stroke="#c6d2d1" strokeWidth="3" strokeDasharray="3 4" />
        <path d={`M2 4H${2 + 1.96 * share}`} stroke={colour} strokeWidth="4" strokeDasharray="9 3" />
      </svg>
    </div>
  );
}
