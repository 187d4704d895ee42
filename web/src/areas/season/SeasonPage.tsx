import { useSeasonPlan } from '../../api/queries';
import { ProblemNotice, Notice } from '../../ui/Notice';
import { fullDay } from '../../ui/units';
import { useDraft } from '../../ui/useDraft';
import { useTitle } from '../../ui/useTitle';
import { AskPart } from './AskPart';
import { LimitsPart } from './LimitsPart';
import { NumbersPart } from './NumbersPart';
import type { Form } from './season';

/** How many of each bag to make before the coming fairs, and why. */
export default function SeasonPage() {
  useTitle('What to make');
  const { data: plan, error } = useSeasonPlan();
  const draft = useDraft<Form>('mardun.season.2', plan?.form);
  if (error) return <ProblemNotice problem={error} />;
  if (!plan) return <p className="text-soft">Planning the coming weeks …</p>;
  return (
    <>
      <header className="mb-3">
        <h1>What to make</h1>
        <p className="text-soft">
          {plan.until && `Until ${fullDay(plan.until)}. `}
          {plan.rests}
        </p>
      </header>
      <div className="grid items-start gap-4 lg:grid-cols-[290px_1fr]">
        <AskPart plan={plan} draft={draft} />
        <div className="min-w-0 space-y-4">
          {plan.sentence && <Notice>{plan.sentence}</Notice>}
          {plan.outcome && (
            <>
              <NumbersPart plan={plan} draft={draft} />
              <LimitsPart plan={plan} />
            </>
          )}
          {plan.sets.length > 0 && (
            <section className="sheet px-4 py-3" aria-label="What sells as a set">
              <h2>What sells as a set</h2>
              <ul className="text-soft">
                {plan.sets.map((set) => (
                  <li key={set}>{set}</li>
                ))}
              </ul>
            </section>
          )}
          {plan.leftOut.length > 0 && (
            <section className="sheet px-4 py-3" aria-label="Left out">
              <h2>Left out</h2>
              <ul className="text-soft">
                {plan.leftOut.map((one) => (
                  <li key={one.bag}>
                    {one.bag}: {one.why}.
                  </li>
                ))}
              </ul>
            </section>
          )}
        </div>
      </div>
    </>
  );
}
