import { Link } from 'react-router';
import { api, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { Tag } from '../../ui/Tag';
import { day } from '../../ui/units';
import { useSend } from '../../ui/useSend';

type Run = Schemas['TicketRunView'];

/** What was printed last: the sheets once more, going on where the printer stopped, and taking back what came out badly. */
export function PrintedTickets({ runs }: { runs: Run[] }) {
  const goOn = useSend((id: number) => api.post<Run>(`/api/price-tickets/${id}/go-on`, {}));
  const takeBack = useSend((id: number) => api.post<Run>(`/api/price-tickets/${id}/take-back`, {}));
  if (runs.length === 0) return null;
  const stopped = goOn.data?.trouble ? goOn.data : undefined;
  return (
    <section className="sheet px-4 py-2" aria-label="Printed last">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2>Printed last</h2>
        <Link className="min-h-9 content-center font-semibold text-woad hover:underline" to="/prices/printer">
          The label printer
        </Link>
      </div>
      <ProblemNotice problem={goOn.problem ?? takeBack.problem} />
      {stopped && (
        <Notice look="care">
          {stopped.cameOut} of {stopped.units} came out. {stopped.trouble}
        </Notice>
      )}
      <ul>
        {runs.map((run) => {
          const isOpen = !run.takenBack && run.cameOut < run.units;
          return (
            <li
              key={run.id}
              className="flex flex-wrap items-center justify-between gap-2 border-t border-line-faint py-1.5"
            >
              <span className="min-w-0 flex-1">
                {run.units} × {run.about}
                <span className="block text-[13px] text-soft">
                  {day(run.madeOn)}, {run.target === 'SHEET' ? 'on sheets' : 'label printer'}
                  {run.channel && `, prices: ${run.channel}`}
                </span>
              </span>
              {run.takenBack && <Tag look="plain">taken back</Tag>}
              {isOpen && (
                <>
                  <Tag look="care">
                    {run.cameOut} of {run.units} out
                  </Tag>
                  <Button look="quiet" disabled={goOn.isPending} onClick={() => goOn.mutate(run.id)}>
                    Go on
                  </Button>
                </>
              )}
              {run.target === 'SHEET' && (
                <a
                  className="min-h-11 content-center px-2 font-semibold text-woad hover:underline"
                  href={`/api/price-tickets/${run.id}/sheets.pdf`}
                >
                  PDF again
                </a>
              )}
              {!run.takenBack && (
                <Button look="quiet" disabled={takeBack.isPending} onClick={() => takeBack.mutate(run.id)}>
                  Take back
                </Button>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
