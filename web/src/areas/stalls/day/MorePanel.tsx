import type { Schemas } from '../../../api/client';
import { Panel } from '../../../ui/Panel';
import { entryOf, type Touch } from './entry';
import { putAside, salesSoFar, written, type Entry, type StallView, type Tally } from './reckon';

/** What is seldom needed at a stall: bags put aside, given away or broken, and the sales so far. */
export function MorePanel({
  view,
  tally,
  unsent,
  told,
  onClose,
  onTouch,
  onTell,
  onSellPromised,
}: {
  view: StallView;
  tally: Tally;
  unsent: Entry[];
  /** What this page touched before, and the server knows. */
  told: Entry[];
  onClose: () => void;
  onTouch: (what: Touch) => void;
  onTell: (entry: Entry) => void;
  onSellPromised: (promise: Schemas['PromiseView']) => void;
}) {
  const promises = putAside(view, unsent, told);
  const sales = salesSoFar(view, unsent);
  return (
    <Panel title={view.fair} open onOpenChange={(open) => !open && onClose()}>
      <h3 className="font-bold">The next touch is</h3>
      <div className="mt-1 flex flex-wrap gap-2">
        {(
          [
            ['PROMISED', 'put aside'],
            ['GIVEN_AWAY', 'given away'],
            ['BROKEN', 'broken'],
            ['STOLEN', 'stolen'],
          ] as const
        ).map(([what, words]) => (
          <button
            key={what}
            type="button"
            className="min-h-11 rounded border-2 border-ink px-3 font-bold"
            onClick={() => onTouch(what)}
          >
            {words}
          </button>
        ))}
      </div>
      {promises.length > 0 && (
        <>
          <h3 className="mt-4 font-bold">Put aside</h3>
          <ul>
            {promises.map((promise) => (
              <li
                key={promise.id}
                className="flex flex-wrap items-center gap-2 border-b border-line-faint py-1"
              >
                <span className="flex-1">
                  {promise.words} {promise.note && <i>for {promise.note}</i>}
                </span>
                <button
                  type="button"
                  className="min-h-11 rounded border-2 border-ink px-3 font-bold"
                  onClick={() => onSellPromised(promise)}
                >
                  Sold
                </button>
                <button
                  type="button"
                  className="min-h-11 px-2 font-bold text-woad"
                  onClick={() => onTell(entryOf('RELEASED', { ofEntry: promise.id }))}
                >
                  For all again
                </button>
              </li>
            ))}
          </ul>
        </>
      )}
      <h3 className="mt-4 font-bold">Sold so far</h3>
      {unsent.length > 0 && (
        <p className="text-soft">
          {unsent.length === 1 ? 'One touch is' : `${unsent.length} touches are`} kept here and not sent yet.
        </p>
      )}
      {sales.length === 0 && <p className="text-soft">Nothing yet.</p>}
      <ul>
        {sales.map(({ id, at, words, paid, undone }) => (
          <li key={id} className="flex items-center gap-2 border-b border-line-faint py-1">
            <span className="w-[52px] text-soft tabular-nums">
              {new Date(at).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })}
            </span>
            <span className={`min-w-0 flex-1 ${undone ? 'line-through' : ''}`}>{words}</span>
            <b className="tabular-nums">{paid}</b>
            {undone ? (
              <span className="text-soft">undone</span>
            ) : (
              <button
                type="button"
                className="min-h-11 px-2 font-bold text-madder"
                aria-label={`Undo ${words}, ${paid}`}
                onClick={() => onTell(entryOf('UNDONE', { ofEntry: id }))}
              >
                Undo
              </button>
            )}
          </li>
        ))}
      </ul>
      <dl className="mt-4 grid grid-cols-2 gap-1">
        <dt>Going there costs</dt>
        <dd className="text-right tabular-nums">{written(view.costsMinor, view.money)}</dd>
        <dt>In cash</dt>
        <dd className="text-right tabular-nums">{written(tally.cash, view.money)}</dd>
        <dt>By card</dt>
        <dd className="text-right tabular-nums">{written(tally.card, view.money)}</dd>
      </dl>
      {view.refused.length > 0 && (
        <>
          <h3 className="mt-4 font-bold">Couldn’t be booked</h3>
          <ul className="list-disc pl-5">
            {view.refused.map((why, i) => (
              <li key={i}>{why}</li>
            ))}
          </ul>
        </>
      )}
    </Panel>
  );
}
