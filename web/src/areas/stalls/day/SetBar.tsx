import { useState } from 'react';
import { called } from '../../../ui/quality';
import { read, written, type Entry, type StallView } from './reckon';

/** Bags of a kind that a buyer takes together with others. */
export interface Chosen {
  kind: string;
  units: number;
  /** What one is usually sold for, in minor units. */
  price: number;
}

/** Several bags that go together: what they come to, or what they go for. */
export function SetBar({
  view,
  chosen,
  tender,
  onSell,
  onLess,
}: {
  view: StallView;
  chosen: Chosen[];
  tender: Entry['tender'];
  onSell: (paid: number) => void;
  onLess: (kind: string) => void;
}) {
  const together = chosen.reduce((sum, { units, price }) => sum + units * price, 0);
  const [typed, setTyped] = useState('');
  const paid = typed.trim() === '' ? together : read(typed, view.money);
  const names = new Map(view.tiles.map(({ bag }) => [bag.key, called(bag)]));
  return (
    <section className="border-t-4 border-ink bg-ground px-3 py-2" aria-label="Several together">
      {chosen.length === 0 ? (
        <p className="min-h-11 py-2.5 font-bold">Touch each bag that goes into the set.</p>
      ) : (
        <form
          className="flex flex-wrap items-center gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            if (paid !== undefined) onSell(paid);
          }}
        >
          <ul className="flex flex-wrap gap-1.5">
            {chosen.map(({ kind, units }) => (
              <li key={kind}>
                <button
                  type="button"
                  className="min-h-11 rounded border-2 border-ink bg-white px-2 font-bold"
                  aria-label={`One ${names.get(kind)} less`}
                  onClick={() => onLess(kind)}
                >
                  {units} × {names.get(kind)} −
                </button>
              </li>
            ))}
          </ul>
          <span className="text-[22px] font-bold tabular-nums">{written(together, view.money)}</span>
          <label className="flex items-center gap-2 font-bold">
            goes for
            <input
              className="field !w-[104px] !text-[19px]"
              inputMode="decimal"
              placeholder={written(together, view.money)}
              value={typed}
              aria-invalid={paid === undefined}
              onChange={(event) => setTyped(event.target.value)}
            />
          </label>
          {paid === undefined && <span className="text-madder">Type an amount like 24.50.</span>}
          <button
            type="submit"
            className="min-h-12 flex-1 rounded bg-woad px-5 text-[18px] font-bold text-white"
            disabled={paid === undefined}
          >
            {tender === 'CARD' ? 'To the card reader' : 'Sold'}
          </button>
        </form>
      )}
    </section>
  );
}
