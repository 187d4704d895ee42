import { useEffect, useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { Notice } from '../../../ui/Notice';
import { useTitle } from '../../../ui/useTitle';
import { useWakeLock } from '../../bench/work/useWakeLock';
import { CardPanel } from './CardPanel';
import { entryOf, type Touch } from './entry';
import { LastSale } from './LastSale';
import { MorePanel } from './MorePanel';
import { pendingPayment, type Payment } from './payment';
import { Questions } from './Questions';
import { reckon, toBreakEven, written, type Entry, type Style, type StallView, type Tally } from './reckon';
import { SetBar, type Chosen } from './SetBar';
import { Tile } from './Tile';
import { useStall } from './useStall';

type Tender = NonNullable<Entry['tender']>;

/** A day at a stall: a touch is a sale. */
export default function StallDayPage() {
  const { id } = useParams();
  const fairId = Number(id);
  const { view, unsent, told, problem, tell, answer } = useStall(fairId);
  useTitle(view ? `${view.fair}, stall` : 'Stall');
  useWakeLock(true);
  const [tender, setTender] = useState<Tender>('CASH');
  const [isSet, setIsSet] = useState(false);
  const [chosen, setChosen] = useState<Chosen[]>([]);
  const [touch, setTouch] = useState<Touch>('SOLD');
  const [forWhom, setForWhom] = useState('');
  const [last, setLast] = useState<Entry>();
  const [payment, setPayment] = useState<Payment | undefined>(() => pendingPayment(fairId));
  const [more, setMore] = useState(false);
  const tally = useMemo(() => (view ? reckon(view, unsent, told) : undefined), [view, unsent, told]);
  if (!view || !tally)
    return (
      <main className="p-4">
        {problem ? (
          <Notice>
            {problem.isAway
              ? 'Mardun doesn’t answer, and this browser hasn’t opened this stall before. Open it once while Mardun runs.'
              : problem.message}
          </Notice>
        ) : (
          <p className="text-soft">Opening …</p>
        )}
        <Link className="mt-3 inline-block min-h-11 font-semibold text-woad" to="/stalls">
          All fairs
        </Link>
      </main>
    );

  const sell = (bags: Chosen[], paid: number, how: Tender, ofEntry?: string) => {
    const sale = entryOf('SOLD', {
      bags: bags.map(({ kind, units, price }) => ({ kind, units, priceMinor: price })),
      tender: how,
      paidMinor: paid,
      ...(ofEntry ? { ofEntry } : {}),
    });
    if (how === 'CARD') setPayment({ fairId, sale, replaces: undefined });
    else {
      setLast(sale);
      void tell(sale);
    }
    setChosen([]);
    setIsSet(false);
  };
  const touched = (kind: string, price: number) => {
    if (touch !== 'SOLD') {
      const entry = entryOf(touch, {
        bags: [{ kind, units: 1, priceMinor: price }],
        note: touch === 'PROMISED' ? forWhom.trim() : '',
      });
      setLast(entry);
      setTouch('SOLD');
      setForWhom('');
      void tell(entry);
    } else if (isSet) {
      setChosen((before) =>
        before.some((one) => one.kind === kind)
          ? before.map((one) => (one.kind === kind ? { ...one, units: one.units + 1 } : one))
          : [...before, { kind, units: 1, price }],
      );
    } else sell([{ kind, units: 1, price }], price, tender);
  };
  return (
    <div className="flex h-dvh flex-col bg-white text-ink">
      <Figures view={view} tally={tally} unsent={unsent.length} isAway={!!problem?.isAway} />
      <div className="flex flex-wrap items-center gap-2 border-b border-line px-3 py-2">
        <div role="group" aria-label="Paid" className="flex overflow-hidden rounded border-2 border-ink">
          {(['CASH', 'CARD', 'OTHER'] as const).map((one) => (
            <button
              key={one}
              type="button"
              aria-pressed={tender === one}
              className={`min-h-11 px-3 font-bold ${tender === one ? 'bg-ink text-white' : 'bg-white'}`}
              onClick={() => setTender(one)}
            >
              {one === 'CASH' ? 'Cash' : one === 'CARD' ? 'Card' : 'Other'}
            </button>
          ))}
        </div>
        <label className="flex min-h-11 items-center gap-2 font-bold">
          <input
            type="checkbox"
            className="size-6"
            checked={isSet}
            onChange={(event) => {
              setIsSet(event.target.checked);
              setChosen([]);
            }}
          />
          Several
        </label>
        <button
          type="button"
          className="ml-auto min-h-11 rounded border-2 border-ink px-3 font-bold"
          onClick={() => setMore(true)}
        >
          More
        </button>
      </div>
      {touch !== 'SOLD' && (
        <div className="flex flex-wrap items-center gap-3 bg-weld-tint px-3 py-2 font-bold text-weld">
          <span role="status">Touch the bag that is {WORDS[touch]}.</span>
          {touch === 'PROMISED' && (
            <label className="flex items-center gap-2">
              For
              <input
                className="field !w-[180px] !text-[17px]"
                placeholder="a name, or nothing"
                maxLength={300}
                value={forWhom}
                onChange={(event) => setForWhom(event.target.value)}
              />
            </label>
          )}
          <button type="button" className="ml-auto min-h-11 px-2 underline" onClick={() => setTouch('SOLD')}>
            Not now
          </button>
        </div>
      )}
      {view.settled && (
        <Notice look="care">This fair is settled. What is sold here now is told as late.</Notice>
      )}
      {problem && !problem.isAway && <Notice>{problem.message}</Notice>}
      <Questions questions={view.questions} onAnswer={(form) => void answer(form)} />
      <main className="min-h-0 flex-1 overflow-y-auto p-3">
        <h1 className="sr-only">{view.fair}</h1>
        {view.tiles.length === 0 ? (
          <p className="text-[17px]">
            Nothing is packed for this fair yet.{' '}
            <Link className="font-bold text-woad underline" to={`/stalls/${fairId}`}>
              Pack first
            </Link>
          </p>
        ) : (
          <ul className="grid grid-cols-2 gap-2.5 sm:grid-cols-3 lg:grid-cols-5">
            {view.tiles.map((tile) => (
              <Tile
                key={tile.bag.key}
                tile={tile}
                standing={tally.tiles.get(tile.bag.key) ?? { left: 0, promised: 0, sold: 0 }}
                inSet={chosen.find((one) => one.kind === tile.bag.key)?.units ?? 0}
                onTouch={() => touched(tile.bag.key, tile.price.minor)}
              />
            ))}
          </ul>
        )}
      </main>
      {isSet && (
        <SetBar
          view={view}
          chosen={chosen}
          tender={tender}
          onSell={(paid) => sell(chosen, paid, tender)}
          onLess={(kind) =>
            setChosen((before) =>
              before
                .map((one) => (one.kind === kind ? { ...one, units: one.units - 1 } : one))
                .filter((one) => one.units > 0),
            )
          }
        />
      )}
      {!isSet && last && (
        <LastSale
          key={last.id}
          view={view}
          entry={last}
          onChange={(changed) => {
            const undone = entryOf('UNDONE', { ofEntry: last.id });
            if (changed?.tender === 'CARD') setPayment({ fairId, sale: changed, replaces: last.id });
            else if (changed) {
              setLast(changed);
              void tell(undone, changed);
            } else {
              setLast(undefined);
              void tell(undone);
            }
          }}
        />
      )}
      {payment && (
        <CardPanel
          payment={payment}
          style={view.money}
          onPaid={(sale) => {
            if (payment.replaces) void tell(entryOf('UNDONE', { ofEntry: payment.replaces }), sale);
            else void tell(sale);
            setLast(sale);
            setPayment(undefined);
          }}
          onCash={(sale) => {
            setPayment(undefined);
            if (payment.replaces) return;
            setLast(sale);
            void tell(sale);
          }}
          onStop={() => setPayment(undefined)}
        />
      )}
      {more && (
        <MorePanel
          view={view}
          tally={tally}
          unsent={unsent}
          told={told}
          onClose={() => setMore(false)}
          onTouch={(what) => {
            setTouch(what);
            setMore(false);
          }}
          onTell={(entry) => {
            if (entry.ofEntry === last?.id) setLast(undefined);
            void tell(entry);
          }}
          onSellPromised={(promise) => {
            sell(
              [{ kind: promise.kind, units: promise.units, price: promise.priceMinor }],
              promise.priceMinor * promise.units,
              tender,
              promise.id,
            );
            setMore(false);
          }}
        />
      )}
    </div>
  );
}

const WORDS: Record<Exclude<Touch, 'SOLD'>, string> = {
  PROMISED: 'put aside for somebody',
  GIVEN_AWAY: 'given away',
  BROKEN: 'broken',
  STOLEN: 'stolen',
};

/** What was taken and left so far, at a glance. */
function Figures({
  view,
  tally,
  unsent,
  isAway,
}: {
  view: StallView;
  tally: Tally;
  unsent: number;
  isAway: boolean;
}) {
  const style = view.money;
  const more = toBreakEven(view, tally);
  const hours = useHoursSince(view.opensAt);
  const left = tally.earned - view.costsMinor;
  return (
    <header className="grid grid-cols-[auto_1fr_auto] items-center gap-x-4 bg-ink px-3 py-2 text-white">
      <Link
        className="flex min-h-11 items-center font-bold text-white"
        to={`/stalls/${view.fairId}`}
        aria-label={`Back to ${view.fair}`}
      >
        ‹
      </Link>
      <dl className="flex flex-wrap items-baseline gap-x-6">
        <Figure
          label={`${tally.bags} sold, taken`}
          value={written(tally.cash + tally.card + tally.other, style)}
          big
        />
        <Figure
          label={more === 0 ? 'left so far' : 'to break even'}
          value={
            more === 0 ? written(left, style) : more === undefined ? 'more than is here' : `${more} more`
          }
        />
        {more === 0 && hours >= 0.5 && <Figure label="an hour so far" value={perHour(left, hours, style)} />}
      </dl>
      <span
        className={`rounded px-2 py-1 text-[14px] font-bold ${unsent > 0 ? 'bg-yellow text-ink' : 'text-rail'}`}
        role="status"
      >
        {unsent > 0 ? `${unsent} kept here${isAway ? '' : ', sending'}` : isAway ? 'on its own' : 'all sent'}
      </span>
    </header>
  );
}

const perHour = (left: number, hours: number, style: Style) => written(Math.round(left / hours), style);

/** How many hours ago a moment was; it goes on by the minute. */
function useHoursSince(from: string | undefined) {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = window.setInterval(() => setNow(Date.now()), 60_000);
    return () => window.clearInterval(timer);
  }, []);
  return from ? (now - new Date(from).getTime()) / 3_600_000 : 0;
}

function Figure({ label, value, big }: { label: string; value: string; big?: boolean }) {
  return (
    <div>
      <dt className="text-[13px] text-rail">{label}</dt>
      <dd className={`font-bold tabular-nums ${big ? 'text-[26px] leading-8' : 'text-[20px]'}`}>{value}</dd>
    </div>
  );
}
