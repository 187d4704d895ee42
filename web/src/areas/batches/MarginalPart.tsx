import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, type Schemas } from '../../api/client';
import { day } from '../../ui/units';

/** What one bag more, and one fewer, of a line really changes: not the average. */
export function MarginalPart({ form, line }: { form: Schemas['BatchForm']; line: number }) {
  const { data } = useQuery({
    queryKey: ['batch-marginal', form, line],
    queryFn: ({ signal }) =>
      api.post<Schemas['MarginalView']>(`/api/batches/marginal?line=${line}`, form, signal),
    placeholderData: keepPreviousData,
    gcTime: 10_000,
    enabled: line >= 0 && line < form.lines.length,
    retry: false,
  });
  if (!data?.more && !data?.fewer) return null;
  return (
    <div className="mt-3 grid gap-x-6 gap-y-1 border-t border-line-faint pt-2.5 md:grid-cols-2">
      {data.more && <Change title="One more" change={data.more} />}
      {data.fewer && <Change title="One fewer" change={data.fewer} />}
    </div>
  );
}

function Change({ title, change }: { title: string; change: Schemas['ChangeView'] }) {
  return (
    <div>
      <div>
        {title}: <b>{change.money}</b>, <b>{change.time}</b>
        {change.movesBy !== 0 && change.ready && (
          <>
            , ready <b>{day(change.ready)}</b> ({Math.abs(change.movesBy)}{' '}
            {Math.abs(change.movesBy) === 1 ? 'day' : 'days'} {change.movesBy > 0 ? 'later' : 'earlier'})
          </>
        )}
      </div>
      <div className="text-[13px] text-soft">
        {change.materials.length > 0 ? change.materials.join(' · ') : 'no more material than now'}
      </div>
    </div>
  );
}
