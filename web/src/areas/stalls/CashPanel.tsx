import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, Problem, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { ProblemNotice } from '../../ui/Notice';
import { Panel } from '../../ui/Panel';
import { useSettled } from '../../ui/useSettled';

const STOOD_STILL = 150;
const NOTHING: Schemas['CashForm'] = { counts: [] };

const useCounted = (form: Schemas['CashForm']) =>
  useQuery({
    queryKey: ['cash', form],
    queryFn: () => api.post<Schemas['CashView']>('/api/cash/counted', form),
    placeholderData: keepPreviousData,
    retry: false,
  });

/** A cash box counted by its notes and coins; the sum is taken into the form once it is asked for. */
export function CashPanel({
  title,
  counts,
  onChange,
  onTake,
  onClose,
}: {
  title: string;
  /** How many of each, as typed, by what one is in minor units. */
  counts: Record<string, string>;
  onChange: (counts: Record<string, string>) => void;
  onTake: (sum: string) => void;
  onClose: () => void;
}) {
  const form = {
    counts: Object.entries(counts).map(([minor, count]) => ({ minor: Number(minor), count })),
  };
  const settled = useSettled(form, STOOD_STILL);
  // The fields follow from the currency, and stay whatever is typed into them.
  const coins = useCounted(NOTHING).data;
  const { data, error } = useCounted(settled);
  const sums = new Map(data?.rows.map(({ coin, sum }) => [coin.minor, sum]));
  const problem = error instanceof Problem ? error : undefined;
  const wrong = (minor: number) =>
    problem?.on(`counts.${settled.counts.findIndex((one) => one.minor === minor)}.count`);
  const isSure = !problem && JSON.stringify(settled) === JSON.stringify(form);
  const group = (notes: boolean) => (
    <table className="listing">
      <thead>
        <tr>
          <th>{notes ? 'Notes' : 'Coins'}</th>
          <th className="num">How many</th>
          <th className="num">Together</th>
        </tr>
      </thead>
      <tbody>
        {coins?.rows
          .filter(({ note }) => note === notes)
          .map(({ coin }) => (
            <tr key={coin.minor}>
              <td className="tabular-nums">{coin.amount}</td>
              <td className="num">
                <input
                  className="field !w-[74px] text-right"
                  inputMode="numeric"
                  aria-label={`How many of ${coin.amount}`}
                  aria-invalid={!!wrong(coin.minor)}
                  value={counts[coin.minor] ?? ''}
                  onChange={(event) => onChange({ ...counts, [coin.minor]: event.target.value })}
                />
                {wrong(coin.minor) && (
                  <span className="block text-[13px] text-madder">{wrong(coin.minor)}</span>
                )}
              </td>
              <td className="num tabular-nums">
                {(sums.get(coin.minor)?.minor ?? 0) > 0 && sums.get(coin.minor)?.amount}
              </td>
            </tr>
          ))}
      </tbody>
    </table>
  );
  return (
    <Panel title={title} wide open onOpenChange={(open) => !open && onClose()}>
      {problem && problem.errors.length === 0 && <ProblemNotice problem={problem} />}
      <form
        onSubmit={(event) => {
          event.preventDefault();
          // The form below it, in whose tree this one is, isn’t sent.
          event.stopPropagation();
          if (isSure && data) onTake(data.together.amount);
        }}
      >
        <div className="grid items-start gap-x-8 gap-y-3 sm:grid-cols-2">
          {group(true)}
          {group(false)}
        </div>
        <p className="mt-3 flex flex-wrap items-center gap-4 text-[18px]">
          <span>
            Together <b className="tabular-nums">{data?.together.amount}</b>
          </span>
          <Button type="submit" disabled={!isSure || !data}>
            Take it over
          </Button>
          <Button look="quiet" onClick={() => onChange({})}>
            Begin anew
          </Button>
        </p>
      </form>
    </Panel>
  );
}
