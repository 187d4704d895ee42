import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, type Schemas } from '../../api/client';
import { keys } from '../../api/queries';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { Tag } from '../../ui/Tag';
import { useWishes, WishesPart } from './Wishes';

type Batch = Schemas['BatchView'];
type Count = Schemas['ChangeCount'];
type Turn = Schemas['TurnView'];

const KINDS: Record<string, string> = {
  NEEDLE: 'needle',
  THREAD: 'thread',
  FOOT: 'foot',
  STITCH: 'stitch',
  BOBBIN: 'bobbin',
  LENGTH: 'stitch length',
  WIDTH: 'stitch width',
  POSITION: 'needle position',
  TENSION: 'tension',
  HEAT: 'heat',
  SECONDS: 'seconds',
  PRESS_CLOTH: 'press cloth',
  STEAM: 'steam',
  WALK: 'ways between places',
};

const STATIONS: Record<Turn['station'], string> = {
  CUTTING_TABLE: 'at the cutting table',
  CUTTING_MACHINE: 'at the cutting machine',
  PRESS: 'at the press',
  MACHINE: 'at the machine',
  OVERLOCKER: 'at the overlocker',
  HAND_PRESS: 'at the hand press',
  WORK_TABLE: 'at the work table',
};

/** What is still to be done of a batch, in the order that changes machines least, with what to change at each point. */
export function OrderOfWork({ batch }: { batch: Batch }) {
  const { data: order, error } = useQuery({
    queryKey: [...keys.batches, batch.id, 'order', batch.version],
    queryFn: () => api.get<Schemas['OrderView']>(`/api/batches/${batch.id}/order`),
  });
  const wishing = useWishes(batch.id, order);
  const [dragged, setDragged] = useState<number>();
  const [over, setOver] = useState<number>();
  if (error) return <ProblemNotice problem={error} />;
  if (!order) return <p className="text-soft">Looking for the best order …</p>;
  if (order.circle.length > 0) {
    return (
      <>
        <Notice look="care">
          There is no order: {order.circle.map((name) => `“${name}”`).join(' waits for ')} and round again.{' '}
          {order.prices.length > 0
            ? 'Take one of your wishes back.'
            : 'Say in the design what really comes first.'}
        </Notice>
        {order.prices.length > 0 && <WishesPart batchId={batch.id} order={order} wishing={wishing} />}
      </>
    );
  }
  if (order.turns.length === 0) return null;
  const move = (from: number, before: number) => {
    const [first, then] = [order.turns[from], order.turns[before]];
    if (first && then) wishing.before(first.key, then.key);
  };
  /** Drops an operation on the place of another: up before it, down after it, where it may go. */
  const mayDrop = (from: number, to: number) =>
    to < from ? mayGoBefore(order.turns, to, from) : to > from && mayGoAfter(order.turns, from, to);
  const drop = (from: number, to: number) => {
    if (mayDrop(from, to)) move(...((to < from ? [from, to] : [to, from]) as [number, number]));
  };
  return (
    <section className="sheet px-2 py-3" aria-label="Order of work">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4 px-2">
        <div className="flex w-full items-center justify-between gap-3">
          <h2>Order of work</h2>
          <Link
            to={`/bench/work/${batch.id}`}
            className="no-print inline-flex min-h-11 items-center font-semibold text-woad hover:underline"
          >
            Work on it at the bench
          </Link>
        </div>
        <Summary order={order} several={batch.lines.length > 1} />
      </div>
      <ul className="my-1.5 flex flex-wrap gap-x-4 gap-y-1 px-2" aria-label="Changes">
        {[...order.kinds, order.walks]
          .filter((one) => one.lineByLine > 0)
          .map((one) => (
            <ChangeBar key={one.kind} count={one} />
          ))}
      </ul>
      {order.lacks.length > 0 && (
        <div className="mb-1.5 px-2">
          <Notice look="care">
            {order.lacks.map((lack) => (
              <span key={lack} className="block">
                {lack}
              </span>
            ))}
            <Link to="/settings" className="font-semibold underline">
              What you have is in the settings
            </Link>
          </Notice>
        </div>
      )}
      <table className="listing">
        <tbody>
          {order.turns.map((turn, i) => (
            <TurnRow
              key={turn.key}
              turn={turn}
              number={i + 1}
              lines={batch.lines.length}
              dragged={dragged === i}
              over={over === i && dragged !== undefined && mayDrop(dragged, i)}
              onDrag={(what) => {
                if (what === 'begin') setDragged(i);
                if (what === 'over') setOver(i);
                if (what === 'drop' && dragged !== undefined) drop(dragged, i);
                if (what === 'drop' || what === 'end') {
                  setDragged(undefined);
                  setOver(undefined);
                }
                return dragged !== undefined && mayDrop(dragged, i);
              }}
              onApart={turn.mayBeApart ? () => wishing.apart(turn.name) : undefined}
              earlier={mayGoBefore(order.turns, i - 1, i) ? () => move(i, i - 1) : undefined}
              later={mayGoBefore(order.turns, i, i + 1) ? () => move(i + 1, i) : undefined}
            />
          ))}
        </tbody>
      </table>
      <WishesPart batchId={batch.id} order={order} wishing={wishing} />
    </section>
  );
}

/** Whether of two the later one may come before the earlier one, and so before all that lies between them. */
function mayGoBefore(turns: Turn[], first: number, second: number) {
  const turn = turns[second];
  return first >= 0 && turn !== undefined && !turn.after.some((one) => one >= first);
}

/** Whether the earlier of two may come after the later one. */
const mayGoAfter = (turns: Turn[], first: number, second: number) =>
  turns.slice(first + 1, second + 1).every((turn) => !turn.after.includes(first));

/** The order of a plan that is still typed: what to change at each point, as good as it is found at once. */
export function OrderWhileTyped({ form, several }: { form: Schemas['BatchForm']; several: boolean }) {
  const { data: order } = useQuery({
    queryKey: ['batch-order', form],
    queryFn: ({ signal }) => api.post<Schemas['OrderView']>('/api/batches/order', form, signal),
    placeholderData: keepPreviousData,
    gcTime: 10_000,
    retry: false,
  });
  if (!order || order.turns.length === 0) return null;
  return (
    <section className="sheet px-2 py-3" aria-label="Order of work">
      <div className="px-2">
        <h2>Order of work</h2>
        <Summary order={order} several={several} />
      </div>
      <table className="listing">
        <tbody>
          {order.turns.map((turn, i) => (
            <TurnRow key={turn.key} turn={turn} number={i + 1} lines={form.lines.length} />
          ))}
        </tbody>
      </table>
    </section>
  );
}

function Summary({ order, several }: { order: Schemas['OrderView']; several: boolean }) {
  const saves = order.lineByLine.seconds > order.changing.seconds;
  return (
    <p className="text-soft">
      changing and walking <b className="text-ink">{order.changing.text}</b>
      {saves &&
        ` instead of ${order.lineByLine.text} ${several ? 'line after line' : 'as the design lists it'}`}
      {order.proven
        ? '; no order takes less'
        : `; it is the best that was found, and the best one may take up to ${order.overLeast.text} less`}
    </p>
  );
}

/** So often line after line, so often now. */
function ChangeBar({ count }: { count: Count }) {
  return (
    <li className="whitespace-nowrap">
      <span className="text-soft">{KINDS[count.kind]}</span>{' '}
      {count.lineByLine !== count.now && (
        <>
          <s className="text-soft">{count.lineByLine}</s>
          <span aria-hidden> → </span>
        </>
      )}
      <b>{count.now}</b>
    </li>
  );
}

function TurnRow({
  turn,
  number,
  lines,
  earlier,
  later,
  dragged,
  over,
  onDrag,
  onApart,
}: {
  turn: Turn;
  number: number;
  lines: number;
  earlier?: () => void;
  later?: () => void;
  /** It is being dragged. */
  dragged?: boolean;
  /** What is dragged would be dropped here. */
  over?: boolean;
  /** Answers whether what is dragged may be dropped here. */
  onDrag?: (what: 'begin' | 'over' | 'drop' | 'end') => boolean;
  onApart?: () => void;
}) {
  return (
    <tr
      className={`group ${dragged ? 'opacity-50' : ''} ${over ? 'bg-woad-tint' : ''}`}
      draggable={!!onDrag}
      onDragStart={(event) => {
        event.dataTransfer.effectAllowed = 'move';
        event.dataTransfer.setData('text/plain', turn.name);
        onDrag?.('begin');
      }}
      onDragOver={(event) => {
        if (onDrag?.('over')) event.preventDefault();
      }}
      onDrop={(event) => {
        event.preventDefault();
        onDrag?.('drop');
      }}
      onDragEnd={() => onDrag?.('end')}
      onKeyDown={(event) => {
        const move = event.altKey && { ArrowUp: earlier, ArrowDown: later }[event.key];
        if (!move) return;
        event.preventDefault();
        move();
      }}
    >
      <td className="w-8 text-soft">{number}</td>
      {onDrag && (
        <td className="no-print w-14 whitespace-nowrap">
          <Move label={`${turn.name} earlier`} path="M4 10l4-4 4 4" onMove={earlier} />
          <Move label={`${turn.name} later`} path="M4 6l4 4 4-4" onMove={later} />
        </td>
      )}
      <td>
        {turn.changes.length > 0 && (
          <span className="mb-0.5 block">
            <Tag look="plain">change</Tag> <b>{turn.changes.join(', ')}</b>
          </span>
        )}
        {turn.name}
        <span className="text-soft">
          {lines > 1 && turn.lines.length < lines && (
            <> · {turn.lines.length === 1 ? `line ${turn.lines[0]}` : `lines ${turn.lines.join(', ')}`}</>
          )}
          {turn.elsewhere && <> · {turn.machine ? `at ${turn.machine}` : STATIONS[turn.station]}</>}
        </span>
        {onApart && (
          <button
            type="button"
            className="no-print ml-2 min-h-7 text-[13px] font-semibold text-woad opacity-0 group-hover:opacity-100 hover:underline focus-visible:opacity-100"
            onClick={onApart}
          >
            Take apart
          </button>
        )}
        {turn.check && <span className="block text-[13.5px] text-soft">{turn.check}</span>}
        {turn.caution && (
          <span className="block text-[13.5px]">
            <Tag look="care">Caution</Tag> {turn.caution}
          </span>
        )}
        {turn.note && <span className="block text-[13.5px]">You noted: {turn.note}</span>}
      </td>
      <td className="num whitespace-nowrap text-soft">{turn.units} ×</td>
      <td className="num whitespace-nowrap">
        {turn.time.text}
        {turn.bagsTimed > 0 && (
          <span className="block text-[13px] text-soft">from {turn.bagsTimed} timed</span>
        )}
        {turn.passive.seconds > 0 && (
          <span className="block text-[13px] text-soft">then {turn.passive.text} by itself</span>
        )}
      </td>
    </tr>
  );
}

/** Moves an operation by one place; the rest is arranged round it. */
function Move({ label, path, onMove }: { label: string; path: string; onMove?: () => void }) {
  return (
    <button
      type="button"
      aria-label={label}
      disabled={!onMove}
      className="inline-flex h-9 w-7 items-center justify-center rounded text-woad opacity-60 group-hover:opacity-100 hover:bg-woad-tint focus-visible:opacity-100 disabled:invisible"
      onClick={onMove}
    >
      <svg
        width="16"
        height="16"
        viewBox="0 0 16 16"
        fill="none"
        stroke="currentColor"
        strokeWidth="2"
        aria-hidden
      >
        <path d={path} />
      </svg>
    </button>
  );
}
