import { useQuery, useQueryClient } from '@tanstack/react-query';
import { api, type Schemas } from '../../../api/client';
import { keys } from '../../../api/queries';
import { ProblemNotice } from '../../../ui/Notice';
import { useSend } from '../../../ui/useSend';

type Simulated = Schemas['SimulatedShopView'];
type Act = Schemas['ShopActForm']['act'];

/** The simulated shop as one stands before it: made-up buyers, and what can go wrong. */
export function SimulatedShop() {
  const client = useQueryClient();
  const key = [...keys.onlineShop, 'simulated'];
  const { data } = useQuery({
    queryKey: key,
    queryFn: () => api.get<Simulated>('/api/simulated/online-shop'),
  });
  const act = useSend(
    (what: Act) => api.post<Simulated>('/api/simulated/online-shop', { act: what }),
    (now) => client.setQueryData(key, now),
  );
  if (!data) return null;
  const acts: [Act, string][] = [
    ['ORDER', 'Somebody orders'],
    ['CANCEL_LAST', 'The last one is cancelled'],
    ['WANT_LAST_BACK', 'The last one is wanted back'],
    ['PAY_OUT', 'It pays out'],
    ['PAY_OUT_WRONG', 'It pays out, and takes too much'],
    data.away ? ['COME_BACK', 'It answers again'] : ['GO_AWAY', 'It doesn’t answer'],
    ['ASK_TOO_OFTEN', 'It was asked too often'],
    data.tellsTwice
      ? ['TELL_ONCE', 'It tells things once']
      : ['TELL_TWICE', 'It tells things twice, out of order'],
  ];
  return (
    <section
      className="rounded border-2 border-dashed border-line-strong p-4"
      aria-label="The simulated shop"
    >
      <h2>The simulated shop</h2>
      <p className="text-[13px] text-soft">
        It ships with Mardun, so that all of this can be tried. {data.orders} orders so far, {data.untold}{' '}
        things not told yet.
      </p>
      <ul className="mt-1">
        {acts.map(([what, words]) => (
          <li key={what}>
            <button
              type="button"
              className="min-h-11 font-semibold text-woad hover:underline"
              disabled={act.isPending}
              onClick={() => act.mutate(what)}
            >
              {words}
            </button>
          </li>
        ))}
      </ul>
      {act.problem && <ProblemNotice problem={act.problem} />}
    </section>
  );
}
