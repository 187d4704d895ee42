import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useDeferredValue, useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { api, type Schemas } from '../../api/client';
import { keys, useChannels } from '../../api/queries';
import { Button, ButtonLink } from '../../ui/Button';
import { TextField } from '../../ui/Field';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { day } from '../../ui/units';
import { useSend } from '../../ui/useSend';
import { useTitle } from '../../ui/useTitle';
import { ChannelsPart } from './ChannelsPart';
import { ChoicePart } from './ChoicePart';
import { OverheadsPart } from './OverheadsPart';
import { ComparePanel } from './ComparePanel';
import { bagParams, placeOf } from './place';
import { PriceCell } from './PriceCell';
import { StepPanel } from './StepPanel';

export type Book = Schemas['BookView'];
export type Row = Schemas['BookRow'];
type Channel = Schemas['ChannelView'];

const PARTS = [
  { key: 'book', name: 'Price book' },
  { key: 'channels', name: 'Channels' },
  { key: 'schools', name: 'How prices are worked out' },
] as const;

/** The prices of everything in each channel, the channels with their terms, and how prices come about. */
export default function PricesPage() {
  useTitle('Prices');
  const [params, setParams] = useSearchParams();
  const part = params.get('part') ?? 'book';
  return (
    <>
      <header className="mb-3 flex flex-wrap items-end justify-between gap-3">
        <h1>Prices</h1>
        <nav aria-label="Parts" className="flex flex-wrap gap-1">
          {PARTS.map((one) => (
            <button
              key={one.key}
              type="button"
              aria-current={part === one.key ? 'page' : undefined}
              className={`min-h-11 rounded px-3.5 font-semibold ${part === one.key ? 'bg-ink text-white' : 'text-woad hover:bg-woad-tint'}`}
              onClick={() => setParams(one.key === 'book' ? {} : { part: one.key })}
            >
              {one.name}
            </button>
          ))}
          <ButtonLink look="quiet" to="/prices/quotes">
            Quotes
          </ButtonLink>
          <ButtonLink look="quiet" to="/prices/tickets">
            Tickets
          </ButtonLink>
          <ButtonLink look="quiet" to="/year">
            The year
          </ButtonLink>
        </nav>
      </header>
      {part === 'channels' ? <ChannelsPart /> : part === 'schools' ? <HowPart /> : <BookPart />}
    </>
  );
}

/** How prices are worked out: from what is wanted to the price, and what an hour bears of a year's overheads. */
function HowPart() {
  return (
    <>
      <ChoicePart />
      <OverheadsPart />
    </>
  );
}

/** Which channel's prices are shown. */
export function ChannelPicker({
  channels,
  chosen,
  onChoose,
}: {
  channels: Channel[];
  chosen: number | undefined;
  onChoose: (id: number) => void;
}) {
  return (
    <div role="group" aria-label="Channel" className="flex flex-wrap gap-1.5">
      {channels
        .filter((channel) => !channel.putAway)
        .map((channel) => (
          <button
            key={channel.id}
            type="button"
            aria-pressed={channel.id === chosen}
            className={`min-h-11 rounded border px-3 ${channel.id === chosen ? 'border-woad bg-woad-tint font-semibold' : 'border-line-strong bg-white hover:bg-woad-tint'}`}
            onClick={() => onChoose(channel.id)}
          >
            {channel.terms.name}
          </button>
        ))}
    </div>
  );
}

type Order = 'name' | 'cost' | 'price' | 'left' | 'perHour';

const FIGURE: Record<Exclude<Order, 'name'>, (row: Row) => number | undefined> = {
  cost: (row) => row.cost?.minor,
  price: (row) => row.price?.minor,
  left: (row) => row.left?.minor,
  perHour: (row) => row.perHour?.minor,
};

const rowKey = (row: Row) => `${row.designId} ${row.sizeKey} ${row.clothId ?? ''}`;

function BookPart() {
  const [params, setParams] = useSearchParams();
  const asked = Number(params.get('channel')) || undefined;
  const channels = useChannels();
  const { data: book, error } = useQuery({
    queryKey: [...keys.prices, 'book', asked ?? 'usual'],
    queryFn: () => api.get<Book>(`/api/prices/book${asked ? `?channel=${asked}` : ''}`),
    placeholderData: keepPreviousData,
  });
  const [search, setSearch] = useState('');
  const [onlyBelow, setOnlyBelow] = useState(false);
  const [order, setOrder] = useState<Order>('name');
  const [isFalling, setFalling] = useState(false);
  const [chosen, setChosen] = useState<Set<string>>(new Set());
  const [stepping, setStepping] = useState(false);
  const [comparing, setComparing] = useState(false);
  const words = useDeferredValue(search.trim().toLowerCase());
  const rows = useMemo(() => {
    const found = (book?.rows ?? []).filter(
      (row) =>
        (!onlyBelow || row.below) &&
        `${row.design} ${row.size} ${row.cloth} ${row.sort}`.toLowerCase().includes(words),
    );
    if (order === 'name') return found;
    const of = FIGURE[order];
    const last = isFalling ? -Infinity : Infinity;
    return [...found].sort((one, other) => ((of(one) ?? last) - (of(other) ?? last)) * (isFalling ? -1 : 1));
  }, [book, words, onlyBelow, order, isFalling]);
  const set = useSend((form: Schemas['SetForm']) => api.post<Book>('/api/prices', form));

  if (error) return <ProblemNotice problem={error} />;
  if (!book) return <p className="text-soft">Opening the book …</p>;
  const below = book.rows.filter((row) => row.below).length;
  const picked = rows.filter((row) => chosen.has(rowKey(row)));
  const head = (key: Order, name: string, isNumber = true) => (
    <th
      className={isNumber ? 'num' : ''}
      aria-sort={order === key ? (isFalling ? 'descending' : 'ascending') : undefined}
    >
      <button
        type="button"
        className="min-h-6 font-semibold hover:underline"
        onClick={() => {
          // What earns most is asked for first; what earns least the second time.
          setFalling(order === key ? !isFalling && key !== 'name' : key !== 'name');
          setOrder(key);
        }}
      >
        {name}
        {order === key && (isFalling ? ' ↓' : ' ↑')}
      </button>
    </th>
  );
  return (
    <>
      <div className="mb-3 flex flex-wrap items-center justify-between gap-3">
        <ChannelPicker
          channels={channels.data ?? []}
          chosen={book.channelId}
          onChoose={(id) => {
            setChosen(new Set());
            setParams({ channel: String(id) });
          }}
        />
        <div className="flex flex-wrap items-end gap-3">
          <TextField
            label="Find a design"
            hideLabel
            placeholder="Find a design"
            value={search}
            onChange={(event) => setSearch(event.target.value)}
          />
          <Button look="quiet" disabled={picked.length === 0} onClick={() => setStepping(true)}>
            Change {picked.length || ''} together
          </Button>
          <Button
            look="quiet"
            disabled={picked.length < 2 || picked.length > 6}
            onClick={() => setComparing(true)}
          >
            Compare
          </Button>
          <Button look="quiet" onClick={() => window.print()}>
            Print
          </Button>
          <a
            className="min-h-11 content-center font-semibold text-woad hover:underline"
            href="/api/lists/prices.csv"
          >
            As CSV
          </a>
          <Link
            className="min-h-11 content-center font-semibold text-woad hover:underline"
            to="/materials/files"
          >
            Import a list
          </Link>
        </div>
      </div>
      {book.tax && (
        <div className="mb-3">
          <Notice look="care">
            In {book.tax.year} you have sold for <b>{book.tax.sold.amount}</b>
            {book.tax.reached ? ', and' : ';'} from <b>{book.tax.threshold.amount}</b> on you may have to ask
            for sales tax, which {book.channel} doesn’t. Rules are local: ask someone who knows yours.
          </Notice>
        </div>
      )}
      <section className="sheet overflow-x-auto px-4 py-2" aria-label="Price book">
        <p className="flex flex-wrap items-center justify-between gap-3 py-1 text-soft print:hidden">
          <span>
            An hour is worth <b>{book.wanted.amount}</b>, and never less than <b>{book.least.amount}</b>.
          </span>
          {below > 0 && (
            <label className="flex min-h-11 items-center gap-2">
              <input
                type="checkbox"
                className="size-5"
                checked={onlyBelow}
                onChange={(event) => setOnlyBelow(event.target.checked)}
              />
              only the {below} that earn less
            </label>
          )}
        </p>
        <table className="listing w-full">
          <thead>
            <tr>
              <th className="w-10 print:hidden">
                <input
                  type="checkbox"
                  aria-label="Choose all that are shown"
                  className="size-5"
                  checked={rows.length > 0 && picked.length === rows.length}
                  onChange={(event) =>
                    setChosen(event.target.checked ? new Set(rows.map(rowKey)) : new Set())
                  }
                />
              </th>
              {head('name', 'Bag', false)}
              {head('cost', 'It costs')}
              {head('price', 'Price')}
              {head('left', 'Left of one')}
              {head('perHour', 'An hour')}
              <th className="print:hidden">Since</th>
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <tr key={rowKey(row)}>
                <td className="print:hidden">
                  <input
                    type="checkbox"
                    className="size-5"
                    aria-label={`Choose ${row.design} ${row.size}${row.clothId ? ` in ${row.cloth}` : ''}`}
                    checked={chosen.has(rowKey(row))}
                    onChange={(event) => {
                      const next = new Set(chosen);
                      if (event.target.checked) next.add(rowKey(row));
                      else next.delete(rowKey(row));
                      setChosen(next);
                    }}
                  />
                </td>
                <td className={row.clothId ? 'pl-6' : ''}>
                  <Link
                    className="font-semibold text-woad hover:underline"
                    to={`/prices/sheet?${bagParams(row, book.channelId)}`}
                  >
                    {row.design}
                  </Link>
                  {row.size && `, ${row.size}`}
                  {row.cloth && <span className="text-soft"> · {row.cloth}</span>}
                </td>
                <td className="num">{row.cost?.amount ?? <span className="text-soft">not yet</span>}</td>
                <td className="num">
                  <PriceCell
                    row={row}
                    isPending={set.isPending}
                    onSet={(price) =>
                      set.mutateAsync({
                        prices: [{ place: placeOf(row, book.channelId), price }],
                        reason: '',
                      })
                    }
                  />
                </td>
                <td className={`num ${row.left && row.left.minor < 0 ? 'font-semibold text-madder' : ''}`}>
                  {row.left?.amount}
                </td>
                <td className="num">
                  <Earned row={row} wanted={book.wanted.minor} />
                </td>
                <td className="whitespace-nowrap print:hidden">
                  {row.follows ? (
                    <span className="text-soft">as in the usual cloth</span>
                  ) : row.since && row.own ? (
                    <>
                      {day(row.since)}
                      {row.reason && <span className="block text-[13px] text-soft">{row.reason}</span>}
                    </>
                  ) : (
                    <span className="text-soft">calculated</span>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        {rows.length === 0 && <p className="py-6 text-center text-soft">Nothing found.</p>}
      </section>
      {comparing && (
        <ComparePanel rows={picked} channelId={book.channelId} onClose={() => setComparing(false)} />
      )}
      {stepping && (
        <StepPanel
          places={picked.map((row) => placeOf(row, book.channelId))}
          onClose={() => setStepping(false)}
          onDone={() => {
            setStepping(false);
            setChosen(new Set());
          }}
        />
      )}
    </>
  );
}

/** What an hour earns, beside what it is worth: a thread as long as it is of it; too little says so in words. */
function Earned({ row, wanted }: { row: Row; wanted: number }) {
  if (!row.perHour) return null;
  const part = Math.max(0, Math.min(1, row.perHour.minor / (wanted * 2)));
  return (
    <span className="inline-flex flex-col items-end">
      <span className={row.below ? 'font-semibold text-madder' : ''}>
        {row.below && <span className="mr-1.5 text-[13px]">too little</span>}
        {row.perHour.amount}
      </span>
      <svg viewBox="0 0 90 6" className="mt-0.5 h-1.5 w-[90px]" aria-hidden>
        <path d="M0 3H90" stroke="var(--color-line)" strokeWidth="1" />
        <path
          d={`M0 3H${(part * 90).toFixed(1)}`}
          stroke={row.below ? 'var(--color-madder)' : 'var(--color-moss)'}
          strokeWidth="3"
          strokeDasharray={row.below ? '3 3' : undefined}
        />
        <path d="M45 0V6" stroke="var(--color-ink)" strokeWidth="1.5" />
      </svg>
    </span>
  );
}
