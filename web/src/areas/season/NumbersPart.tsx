import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, type Schemas } from '../../api/client';
import { keys } from '../../api/queries';
import { Button } from '../../ui/Button';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { useRequestId, useSend } from '../../ui/useSend';
import { useSettled } from '../../ui/useSettled';
import { OutcomePart } from './OutcomePart';
import { BagRow } from './BagRow';
import { LaidOutPart } from './LaidOutPart';
import { numbers, whole, type Draft, type Plan } from './season';

type Tried = Schemas['SeasonTried'];

/** The numbers of the plan, each to be changed by hand, with what that leaves; and a batch of them. */
export function NumbersPart({ plan, draft }: { plan: Plan; draft: Draft }) {
  const navigate = useNavigate();
  const request = useRequestId();
  const [typed, setTyped] = useState<Record<string, string>>({});
  const [all, setAll] = useState(false);
  const made = numbers(plan.rows, typed);
  const byHand = made.some((one, n) => one.units !== plan.rows[n]?.make);
  const now = JSON.stringify(made);
  const asked = useSettled(now, 250);
  const tried = useQuery({
    queryKey: [...keys.season, 'try', asked],
    queryFn: () => api.post<Tried>('/api/season-plan/try', { made: JSON.parse(asked) as typeof made }),
    enabled: byHand && asked === now,
    placeholderData: (before) => before,
  });
  const batch = useSend(
    () =>
      api.post<Schemas['SeasonBatch']>('/api/season-plan/batch', {
        requestId: request.id,
        made: made.filter((one) => one.units > 0),
      }),
    ({ batchId }) => void navigate(`/batches/${batchId}`),
  );
  const unread = Object.values(typed).some((text) => whole(text) === undefined);
  const outcome = (byHand && tried.data?.outcome) || plan.outcome;
  const rows = plan.rows.map((row) => ({ row, units: typed[row.kind] ?? String(row.make) }));
  const shown = rows.filter(({ row, units }) => all || row.make > 0 || units !== String(row.make));
  const bags = made.reduce((sum, one) => sum + one.units, 0);
  return (
    <>
      <section className="sheet px-4 py-3" aria-label="The plan">
        {outcome && <OutcomePart outcome={outcome} less={byHand ? tried.data?.less : undefined} />}
        {tried.error && <ProblemNotice problem={tried.error} />}
        <div className="overflow-x-auto">
          <table className="listing">
            <thead>
              <tr>
                <th>Bag</th>
                <th className="num">In stock</th>
                <th className="num">Make</th>
                <th>Buyers expected</th>
                <th className="num">Likely sold</th>
                <th className="num">One more brings</th>
              </tr>
            </thead>
            <tbody>
              {shown.map(({ row, units }) => (
                <BagRow
                  key={row.kind}
                  row={row}
                  units={units}
                  widest={Math.max(...plan.rows.map((one) => Math.min(one.high, 3 * one.wanted)))}
                  onUnits={(text) => setTyped((before) => ({ ...before, [row.kind]: text }))}
                  draft={draft}
                  today={plan.today}
                />
              ))}
            </tbody>
          </table>
        </div>
        {shown.length === 0 && <p className="py-2">Nothing is worth its time within these limits.</p>}
        <div className="mt-3 flex flex-wrap items-center gap-2">
          <Button disabled={batch.isPending || bags === 0 || unread} onClick={() => batch.mutate(undefined)}>
            {bags === 0 ? 'No bags to make' : `Plan a batch of these ${bags}`}
          </Button>
          {byHand && (
            <Button look="quiet" onClick={() => setTyped({})}>
              Back to the plan’s numbers
            </Button>
          )}
          {rows.length > shown.length || all ? (
            <Button look="quiet" onClick={() => setAll(!all)}>
              {all ? 'Only what is made' : `Show the other ${rows.length - shown.length}`}
            </Button>
          ) : null}
        </div>
        {unread && <Notice>Type whole numbers from 0 to 1000.</Notice>}
        {batch.problem && <ProblemNotice problem={batch.problem} />}
      </section>
      {bags > 0 && !unread && <LaidOutPart made={made} />}
    </>
  );
}
