import type { Plan } from './season';

/** What holds the making back, the dearest first, drawn as lengths. */
export function LimitsPart({ plan }: { plan: Plan }) {
  const most = Math.max(1, ...plan.limits.map((limit) => limit.brings.minor));
  return (
    <section className="sheet px-4 py-3" aria-label="What holds you back">
      <h2>What holds you back</h2>
      <table className="listing">
        <tbody>
          {plan.limits.map((limit) => (
            <tr key={limit.what}>
              <td className="w-[180px] font-semibold">{limit.what}</td>
              <td>
                {limit.sentence}
                <span
                  aria-hidden
                  className="mt-1 block h-[5px] rounded bg-woad-mid"
                  style={{ width: `${(100 * limit.brings.minor) / most}%` }}
                />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {plan.gap && (
        <p className="text-soft">
          No other choice of numbers promises more than {plan.gap.amount} over this one.
        </p>
      )}
    </section>
  );
}
