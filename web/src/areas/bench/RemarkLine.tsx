import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, type Schemas } from '../../api/client';
import { ProblemNotice } from '../../ui/Notice';
import { useSend } from '../../ui/useSend';

/** Where a remark is looked into. */
const PLACES: Record<Schemas['RemarkView']['subject'], { to: string; name: string }> = {
  EARNING: { to: '/year', name: 'See what earns' },
  SHELF: { to: '/materials/finished', name: 'See what lies there' },
  TIME: { to: '/year', name: 'See the times' },
};

/** The one thing in the figures that deserves to be said, until it is put away. */
export function RemarkLine() {
  const { data } = useQuery({
    queryKey: ['year', 'remarks'],
    queryFn: () => api.get<Schemas['RemarksView']>('/api/year/remarks'),
  });
  const send = useSend((key: string) => api.post('/api/year/remarks/away', { key }));
  const remark = data?.remark;
  if (!remark) return null;
  const place = PLACES[remark.subject];
  return (
    <section
      aria-label="What the figures say"
      className="mt-2 flex flex-wrap items-center gap-x-4 border-l-4 border-dashed border-yellow bg-white py-1 pr-2 pl-3.5"
    >
      <p className="min-w-0 flex-1 basis-[320px]">{remark.sentence}</p>
      <Link
        className="inline-flex min-h-11 items-center font-semibold text-woad hover:underline"
        to={place.to}
      >
        {place.name}
      </Link>
      <button
        type="button"
        className="min-h-11 px-2 font-semibold text-woad hover:underline"
        disabled={send.isPending}
        onClick={() => send.mutate(remark.key)}
      >
        Put away
      </button>
      {send.problem && <ProblemNotice problem={send.problem} />}
    </section>
  );
}
