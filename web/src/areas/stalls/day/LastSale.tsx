import { useState } from 'react';
import { entryOf } from './entry';
import { handedOver, read, wordsOf, written, type Entry, type StallView } from './reckon';

const WHAT: Record<string, string> = {
  SOLD: 'Sold',
  PROMISED: 'Put aside',
  GIVEN_AWAY: 'Given away',
  BROKEN: 'Broken',
  STOLEN: 'Stolen',
};

/** What was touched last: what to give back, and one more touch for what was otherwise. */
export function LastSale({
  view,
  entry,
  onChange,
}: {
  view: StallView;
  entry: Entry;
  /** Another entry in its place; none to undo it. */
  onChange: (changed: Entry | undefined) => void;
}) {
  const [handed, setHanded] = useState<number>();
  const [typing, setTyping] = useState(false);
  const [typed, setTyped] = useState('');
  const style = view.money;
  const paid = entry.paidMinor ?? 0;
  const isSale = entry.kind === 'SOLD';
  const words = wordsOf(view, entry.bags);
  const changed = (more: Partial<Entry>) =>
    entryOf('SOLD', {
      bags: entry.bags,
      tender: entry.tender,
      paidMinor: paid,
      ...(entry.ofEntry ? { ofEntry: entry.ofEntry } : {}),
      ...more,
    });
  const amount = read(typed, style);
  return (
    <section className="border-t-4 border-ink bg-ground px-3 py-2" aria-label="The last touch">
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1.5">
        <p className="min-w-0 flex-1 basis-[220px] text-[16px]" role="status">
          <b>{WHAT[entry.kind]}:</b> {words}
          {entry.note && <i> for {entry.note}</i>}
          {isSale && (
            <>
              {' '}
              <b className="tabular-nums">{written(paid, style)}</b>
              {entry.tender === 'CARD' ? ', by card' : entry.tender === 'OTHER' ? ', another way' : ''}
            </>
          )}
        </p>
        <button
          type="button"
          className="min-h-11 rounded border-2 border-madder bg-white px-3 font-bold text-madder"
          onClick={() => onChange(undefined)}
        >
          Undo
        </button>
        {isSale && (
          <button
            type="button"
            className="min-h-11 rounded border-2 border-ink bg-white px-3 font-bold"
            aria-expanded={typing}
            onClick={() => setTyping((before) => !before)}
          >
            Other price
          </button>
        )}
        {isSale && entry.tender === 'CASH' && (
          <button
            type="button"
            className="min-h-11 rounded border-2 border-ink bg-white px-3 font-bold"
            onClick={() => onChange(changed({ tender: 'CARD' }))}
          >
            By card
          </button>
        )}
      </div>
      {typing && (
        <form
          className="mt-2 flex flex-wrap items-center gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            if (amount !== undefined) onChange(changed({ paidMinor: amount }));
          }}
        >
          <label className="flex items-center gap-2 font-bold">
            It went for
            <input
              autoFocus
              className="field !w-[120px] !text-[19px]"
              inputMode="decimal"
              value={typed}
              aria-invalid={typed !== '' && amount === undefined}
              onChange={(event) => setTyped(event.target.value)}
            />
          </label>
          <button
            type="submit"
            disabled={amount === undefined}
            className="min-h-11 rounded bg-woad px-4 font-bold text-white disabled:opacity-60"
          >
            Change it
          </button>
          {typed !== '' && amount === undefined && (
            <span className="text-madder">Type an amount like 12.50.</span>
          )}
        </form>
      )}
      {isSale && entry.tender === 'CASH' && !typing && (
        <div className="mt-1.5 flex flex-wrap items-center gap-2">
          <span className="font-bold">Handed over</span>
          {handedOver(paid, view.handed).map((one) => (
            <button
              key={one}
              type="button"
              aria-pressed={handed === one}
              className={`min-h-11 rounded border-2 border-ink px-3 font-bold tabular-nums ${
                handed === one ? 'bg-ink text-white' : 'bg-white'
              }`}
              onClick={() => setHanded(one)}
            >
              {written(one, style)}
            </button>
          ))}
          {handed !== undefined && (
            <p className="text-[19px]" role="status">
              give back <b className="text-[24px] tabular-nums">{written(handed - paid, style)}</b>
            </p>
          )}
        </div>
      )}
    </section>
  );
}
