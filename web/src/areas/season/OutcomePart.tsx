import type { Schemas } from '../../api/client';
import { day, unsigned } from '../../ui/units';

type Outcome = Schemas['SeasonOutcomeView'];

/** What the numbers leave: on average, on a bad day and on a good one. */
export function OutcomePart({ outcome, less }: { outcome: Outcome; less?: Schemas['MoneyView'] }) {
  const { badDay, expected, goodDay } = outcome;
  const span = Math.max(1, goodDay.minor - badDay.minor);
  const mean = (100 * (expected.minor - badDay.minor)) / span;
  return (
    <>
      <div className="flex flex-wrap items-end gap-x-8 gap-y-2">
        <p>
          <b className="block text-[28px] leading-8 tabular-nums">{outcome.ofMaking.amount}</b>
          <span className="text-soft">come of making</span>
        </p>
        <p>
          <b className="block text-[20px] leading-8 tabular-nums">
            {outcome.pieces} bags, {outcome.time.text}
          </b>
          <span className="text-soft">
            {outcome.perHour ? `${outcome.perHour.amount} an hour` : 'no work'}
          </span>
        </p>
        <p>
          <b className="block text-[20px] leading-8 tabular-nums">{outcome.spent.amount}</b>
          <span className="text-soft">to buy for it</span>
        </p>
        <figure className="min-w-[min(260px,100%)] flex-1">
          <svg viewBox="0 0 100 8" preserveAspectRatio="none" className="h-[14px] w-full" aria-hidden>
            <line
              x1="0"
              x2="100"
              y1="4"
              y2="4"
              stroke="var(--color-woad)"
              strokeWidth="2"
              strokeDasharray="4 2"
              vectorEffect="non-scaling-stroke"
            />
            {[0, mean, 100].map((x) => (
              <line
                key={x}
                x1={x}
                x2={x}
                y1="0"
                y2="8"
                stroke="var(--color-ink)"
                strokeWidth={x === mean ? 4 : 2}
                vectorEffect="non-scaling-stroke"
              />
            ))}
          </svg>
          <figcaption className="flex flex-wrap justify-between gap-x-3 text-[14px]">
            <span>
              bad day <b className="tabular-nums">{badDay.amount}</b>
            </span>
            <span>
              on average <b className="tabular-nums">{expected.amount}</b>
            </span>
            <span>
              good day <b className="tabular-nums">{goodDay.amount}</b>
            </span>
          </figcaption>
        </figure>
      </div>
      <p className="text-soft">
        All takings after fees with what is there already, and the worth of what is left over. One time in ten
        it is worse than the bad day, and one in ten better than the good one.
      </p>
      {outcome.doneOn && (
        <p className={outcome.isLate ? 'font-semibold text-weld' : undefined}>
          In the hours that open work leaves free they are done on {day(outcome.doneOn)}
          {outcome.isLate ? ', which isn’t before the first fair.' : '.'}
        </p>
      )}
      {less && less.minor !== 0 && (
        <p role="status" className={less.minor > 0 ? 'font-semibold text-weld' : 'font-semibold text-moss'}>
          {unsigned(less.amount)} {less.minor > 0 ? 'less' : 'more'} than the plan’s numbers.
        </p>
      )}
      {outcome.broken.map((sentence) => (
        <p key={sentence} role="status" className="font-semibold text-madder">
          {sentence}
        </p>
      ))}
    </>
  );
}
