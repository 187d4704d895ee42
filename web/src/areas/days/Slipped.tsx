import { api, type Schemas } from '../../api/client';
import { Notice } from '../../ui/Notice';
import { day } from '../../ui/units';
import { useSend } from '../../ui/useSend';

/** What has moved since the maker last took note of the days. */
export function Slipped({ days }: { days: Schemas['DaysView'] }) {
  const note = useSend(() => api.post<void>('/api/days/noted', {}));
  const button = (
    <button
      type="button"
      className="min-h-9 font-semibold text-woad hover:underline"
      disabled={note.isPending}
      onClick={() => note.mutate(undefined)}
    >
      {days.notedOn ? 'Noted' : 'Remember these days'}
    </button>
  );
  if (!days.notedOn) {
    return days.batches.length === 0 ? null : (
      <p className="no-print mt-2 text-soft">
        {button} and be told here what moves, when something takes longer or other work comes in between.
      </p>
    );
  }
  if (days.slipped.length === 0) return null;
  return (
    <div className="no-print mt-3">
      <Notice look="care">
        <p className="font-semibold">
          Moved since {days.notedOn === days.today ? 'today' : day(days.notedOn)}:
        </p>
        {days.slipped.map((batch) => (
          <p key={batch.batchId}>
            {batch.name} is {batch.now ? `ready ${day(batch.now)}` : 'not laid any more'}
            {batch.before ? `, not ${day(batch.before)}` : ', and wasn’t laid before'}.{' '}
            {!batch.now && batch.waits}
          </p>
        ))}
        {button}
      </Notice>
    </div>
  );
}
