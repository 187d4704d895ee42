import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Schemas } from '../../api/client';
import { keys } from '../../api/queries';
import { ProblemNotice } from '../../ui/Notice';
import { useSend } from '../../ui/useSend';

type Order = Schemas['OrderView'];
type Wishes = Schemas['Wishes'];

/** Keeps what is wanted of a batch's order of work. */
export function useWishes(batchId: number, order: Order | undefined) {
  const send = useSend((wishes: Wishes) =>
    api.put<Order>(`/api/batches/${batchId}/wishes`, { version: order?.version, wishes }),
  );
  const wishes = order?.wishes;
  const keep = (next: Wishes) => {
    if (!send.isPending) send.mutate(next);
  };
  return {
    problem: send.problem,
    isPending: send.isPending,
    before: (first: string, then: string) => {
      if (!wishes) return;
      // What is wanted now is wanted instead of its contrary.
      const others = wishes.before.filter((one) => !(one.first === then && one.then === first));
      keep({ ...wishes, before: [...others, { first, then }] });
    },
    threadFirst: (thread: string) => wishes && keep({ ...wishes, threadFirst: thread }),
    without: (wish: Schemas['WithoutWish']) =>
      wishes && keep({ ...wishes, without: [...wishes.without, wish] }),
    match: (cloth: number, thread: number | undefined) => {
      if (!wishes) return;
      const others = (wishes.matching ?? []).filter((one) => one.cloth !== cloth);
      keep({ ...wishes, matching: thread === undefined ? others : [...others, { cloth, thread }] });
    },
    apart: (name: string) => wishes && keep({ ...wishes, apart: [...(wishes.apart ?? []), name] }),
    bundle: (bags: number | undefined) => wishes && keep({ ...wishes, bundle: bags }),
    oneFirst: (on: boolean) => wishes && keep({ ...wishes, oneFirst: on }),
    pressInOneGo: (on: boolean) => wishes && keep({ ...wishes, pressInOneGo: on }),
    putAway: (on: boolean) => wishes && keep({ ...wishes, putAway: on }),
    takeBack: (wish: Schemas['WishPrice']) => {
      if (!wishes) return;
      const { before, without } = wish;
      const isThread = !before && !without && !wish.apart && !wish.bundle && !wish.pressInOneGo;
      keep({
        ...wishes,
        threadFirst: isThread ? '' : wishes.threadFirst,
        apart: (wishes.apart ?? []).filter((one) => one !== wish.apart),
        bundle: wish.bundle ? undefined : wishes.bundle,
        pressInOneGo: wish.pressInOneGo ? false : wishes.pressInOneGo,
        before: wishes.before.filter((one) => one.first !== before?.first || one.then !== before.then),
        without: wishes.without.filter((one) => one.turn !== without?.turn || one.part !== without.part),
      });
    },
  };
}

/** Which thread matches a cloth: the nearest in colour, or the one that the maker takes, with what another one would save. */
function Match({
  match,
  onMatch,
}: {
  match: Schemas['MatchView'];
  onMatch: (thread: number | undefined) => void;
}) {
  const saving = match.passable.find((spool) => spool.saves && spool.id !== match.thread);
  return (
    <div className="mb-1.5 flex flex-wrap items-center gap-x-3 text-[14px]">
      <Dot colour={match.clothColour} />
      <label className="flex items-center gap-2">
        <span className="text-soft">{match.clothName} is sewn with</span>
        <select
          className="field h-9 w-auto py-0"
          value={match.isChosen ? match.thread : ''}
          onChange={(event) => onMatch(event.target.value ? Number(event.target.value) : undefined)}
        >
          <option value="">
            {match.isChosen
              ? 'what is nearest'
              : match.thread
                ? `${match.name}, the nearest`
                : 'one that matches; none here is near'}
          </option>
          {match.passable.map((spool) => (
            <option key={spool.id} value={spool.id}>
              {spool.name}
              {spool.saves ? `, saves ${spool.saves.text}` : ''}
            </option>
          ))}
        </select>
      </label>
      {saving && (
        <span>
          <Dot colour={saving.colour} /> {saving.name} would save <b>{saving.saves?.text}</b>
        </span>
      )}
    </div>
  );
}

const Dot = ({ colour }: { colour: string }) => (
  <svg width="14" height="14" viewBox="0 0 14 14" className="inline-block" aria-hidden>
    <circle cx="7" cy="7" r="6" fill={colour} stroke="#48595f" strokeWidth=".8" />
  </svg>
);

/** So many bags at a time go through all seams. */
function Bundle({ wished, onWish }: { wished?: number; onWish: (bags: number | undefined) => void }) {
  const [typed, setTyped] = useState<string>();
  const keep = () => {
    if (typed === undefined) return;
    const bags = Number(typed);
    setTyped(undefined);
    if (typed.trim() === '') onWish(undefined);
    else if (Number.isInteger(bags) && bags >= 1 && bags <= 1000) onWish(bags);
  };
  return (
    <label className="flex items-center gap-2">
      <span className="text-soft">In bundles of</span>
      <input
        className="field h-9 w-16 py-0 text-right"
        inputMode="numeric"
        placeholder="all"
        value={typed ?? wished ?? ''}
        onChange={(event) => setTyped(event.target.value.replace(/[^0-9]/g, ''))}
        onBlur={keep}
        onKeyDown={(event) => {
          if (event.key === 'Enter') keep();
          if (event.key === 'Escape') setTyped(undefined);
        }}
      />
    </label>
  );
}

/** What the maker wants of the order, each wish with what it costs, and what could be done without. */
export function WishesPart({
  batchId,
  order,
  wishing,
}: {
  batchId: number;
  order: Order;
  wishing: ReturnType<typeof useWishes>;
}) {
  const [looking, setLooking] = useState(false);
  const { data: savings } = useQuery({
    queryKey: [...keys.batches, batchId, 'savings', order.version],
    queryFn: () => api.get<Schemas['Saving'][]>(`/api/batches/${batchId}/order/savings`),
    enabled: looking,
  });
  return (
    <div className="no-print mx-2 mt-1 border-t border-line-faint pt-2">
      <ProblemNotice problem={wishing.problem} />
      {order.prices.length > 0 && (
        <ul aria-label="What you want of it" className="mb-1.5">
          {order.prices.map((wish) => (
            <li key={wish.words} className="flex flex-wrap items-baseline gap-x-3">
              <span>
                {wish.words}{' '}
                <b className="whitespace-nowrap">
                  {wish.asksForNothing ? '' : wish.more.replace(/^[+]0 .*/, 'costs nothing')}
                </b>
                {wish.asksForNothing && <span className="text-soft">isn’t there any more</span>}
              </span>
              <button
                type="button"
                className="min-h-9 font-semibold text-woad hover:underline"
                onClick={() => wishing.takeBack(wish)}
              >
                Take back
              </button>
            </li>
          ))}
        </ul>
      )}
      {order.matches.map((match) => (
        <Match key={match.cloth} match={match} onMatch={(thread) => wishing.match(match.cloth, thread)} />
      ))}
      <div className="flex flex-wrap items-center gap-x-5 gap-y-1 text-[14px]">
        {order.threads.length > 1 && (
          <label className="flex items-center gap-2">
            <span className="text-soft">Finish first what is sewn with</span>
            <select
              className="field h-9 w-auto py-0"
              value={order.wishes.threadFirst}
              onChange={(event) => wishing.threadFirst(event.target.value)}
            >
              <option value="">whatever is best</option>
              {order.threads.map((thread) => (
                <option key={thread}>{thread}</option>
              ))}
            </select>
          </label>
        )}
        <Bundle wished={order.wishes.bundle} onWish={wishing.bundle} />
        <label className="flex min-h-9 items-center gap-2">
          <input
            type="checkbox"
            className="size-4"
            checked={order.wishes.pressInOneGo ?? false}
            onChange={(event) => wishing.pressInOneGo(event.target.checked)}
          />
          <span className="text-soft">To the press as seldom as may be</span>
        </label>
        <label className="flex min-h-9 items-center gap-2">
          <input
            type="checkbox"
            className="size-4"
            checked={order.wishes.putAway ?? false}
            onChange={(event) => wishing.putAway(event.target.checked)}
          />
          <span className="text-soft">Stop for the day only where it can be put away</span>
        </label>
        <button
          type="button"
          className="min-h-9 font-semibold text-woad hover:underline"
          aria-expanded={looking}
          onClick={() => setLooking(!looking)}
        >
          What could be done without?
        </button>
      </div>
      {looking && savings && (
        <ul aria-label="What could be done without" className="mb-1">
          {savings.length === 0 && <li className="text-soft">No change can be spared.</li>}
          {savings.slice(0, 8).map((one) => (
            <li key={`${one.without.turn}-${one.without.part}`} className="flex flex-wrap gap-x-3">
              <span className="min-h-9 content-center">
                “{one.name}” without {one.change}: saves <b>{one.saves.text}</b>
              </span>
              <button
                type="button"
                className="min-h-9 font-semibold text-woad hover:underline"
                onClick={() => wishing.without(one.without)}
              >
                Do without
              </button>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
