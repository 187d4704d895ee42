import { Button } from '../../../ui/Button';
import { NoteSlips, type Note } from '../../../ui/PinnedNotes';
import type { Schemas } from '../../../api/client';
import type { Entry, WorkView } from './kept';
import { ACTS, keepBenchKeys, keyName, keyWords, USUAL, type Act } from './keys';
import { isSame, left, stands, type Turn } from './progress';

export type WorkSlip = Schemas['WorkSlip'];

const ENDED: Record<WorkSlip['outcome'], string> = { MENDED: 'mended', SECOND: 'a second', SCRAP: 'scrap' };

/** What went wrong so far; one that was none is taken back. */
function SlipList({
  slips,
  unsent,
  onWithdraw,
}: {
  slips: WorkSlip[];
  unsent: Entry[];
  onWithdraw: (slip: WorkSlip) => void;
}) {
  const there = slips.filter(
    (slip) => !unsent.some((entry) => entry.kind === 'WITHDRAWN' && entry.ofEvent === slip.id),
  );
  const waiting = unsent.filter((entry) => entry.kind === 'SLIPPED').length;
  if (there.length === 0 && waiting === 0) return null;
  return (
    <section className="sheet space-y-1 px-4 py-3" aria-label="What went wrong">
      <h2>What went wrong</h2>
      {waiting > 0 && <p className="text-soft">{waiting} not sent yet</p>}
      <ul className="divide-y divide-line">
        {there.map((slip) => (
          <li key={slip.id} className="py-1.5">
            <div className="flex items-center justify-between gap-3">
              <span>
                <b>{slip.bags}</b> × {slip.stepName}
                {slip.reason && `: ${slip.reason}`}
                <span className="text-soft">
                  {' '}
                  · {ENDED[slip.outcome]}
                  {slip.mending.seconds > 0 && `, ${slip.mending.text}`}
                </span>
              </span>
              <Button
                look="quiet"
                aria-label={`Not a slip: ${slip.stepName}${slip.reason && `, ${slip.reason}`}`}
                onClick={() => onWithdraw(slip)}
              >
                Not a slip
              </Button>
            </div>
            {slip.cutAgain.map((says) => (
              <p key={says} className="text-[13px]">
                Cut {says}
              </p>
            ))}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Which bags stand where, as soon as some are further than others: what one asks when a batch is taken up again. */
function Stands({ turns }: { turns: Turn[] }) {
  const found = stands(turns);
  const lines = new Set(found.map((one) => one.line)).size;
  if (found.length === lines) return null;
  return (
    <section className="sheet px-4 py-3" aria-label="Which bags stand where">
      <h2>Which bags stand where</h2>
      <ul className="divide-y divide-line">
        {found.map((one) => (
          <li key={`${one.line} ${one.from}`} className="py-1">
            {lines > 1 && (
              <span className="text-soft">
                {one.what}
                {one.cloth && `, ${one.cloth}`}:{' '}
              </span>
            )}
            <b>{one.from === one.to ? `bag ${one.from}` : `bags ${one.from} to ${one.to}`}</b>
            {one.next ? ` ${one.from === one.to ? 'waits' : 'wait'} for “${one.next}”` : ' through with all'}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** All operations with what is done of them, and the keys that work here. */
export function WorkList({
  view,
  unsent,
  onWithdraw,
  onPutAway,
  turns,
  at,
  keys,
  onKeys,
  onGo,
  onClose,
}: {
  view: WorkView;
  unsent: Entry[];
  onWithdraw: (slip: WorkSlip) => void;
  onPutAway: (note: Note) => void;
  turns: Turn[];
  at?: Turn;
  keys: Record<Act, string>;
  onKeys: (keys: Record<Act, string>) => void;
  onGo: (turn: Turn) => void;
  onClose: () => void;
}) {
  return (
    <div className="mt-2 grid gap-4 lg:grid-cols-[1fr_330px]">
      <section className="sheet px-2 py-3" aria-label="All operations">
        <table className="listing">
          <tbody>
            {view.done.map((done, i) => (
              <tr key={`${done.name} ${i}`} className="text-soft">
                <td className="w-8">✓</td>
                <td>{done.name}</td>
                <td className="num">done</td>
              </tr>
            ))}
            {turns.map((turn, i) => (
              <tr key={turn.key} className={at && isSame(turn, at) ? 'bg-woad-tint' : ''}>
                <td className="w-8 text-soft">{view.done.length + i + 1}</td>
                <td>
                  <button
                    type="button"
                    className="min-h-14 text-left text-lg font-semibold text-woad hover:underline"
                    onClick={() => onGo(turn)}
                  >
                    {turn.name}
                  </button>
                  <span className="text-soft"> · {turn.at}</span>
                  {turn.changes.length > 0 && (
                    <span className="block text-[13.5px] text-soft">change {turn.changes.join(', ')}</span>
                  )}
                </td>
                <td className="num whitespace-nowrap">
                  {turn.parts.reduce((sum, part) => sum + left(part), 0)} left
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      <div className="space-y-4">
        <Stands turns={turns} />
        <NoteSlips notes={view.notes} onPutAway={onPutAway} />
        <SlipList slips={view.slips} unsent={unsent} onWithdraw={onWithdraw} />
        <section className="sheet space-y-2 px-4 py-3" aria-label="Keys">
          <h2>Keys</h2>
          <p className="text-soft">
            Click a key and press another one, or the pedal. A key works while no field has the focus.
          </p>
          <dl className="space-y-1">
            {(Object.keys(ACTS) as Act[]).map((act) => (
              <div key={act} className="flex items-center justify-between gap-3">
                <dt id={`key-${act}`}>{ACTS[act]}</dt>
                <dd>
                  <input
                    readOnly
                    aria-labelledby={`key-${act}`}
                    className="field !min-h-11 w-[112px] text-center"
                    value={keyWords(keys[act])}
                    onKeyDown={(event) => {
                      if (['Tab', 'Escape', 'Shift', 'Control', 'Alt', 'Meta'].includes(event.key)) return;
                      event.preventDefault();
                      const next = { ...keys, [act]: keyName(event.nativeEvent) };
                      keepBenchKeys(next);
                      onKeys(next);
                    }}
                  />
                </dd>
              </div>
            ))}
          </dl>
          <div className="flex gap-3 pt-1">
            <Button
              look="quiet"
              onClick={() => {
                keepBenchKeys(USUAL);
                onKeys(USUAL);
              }}
            >
              The usual keys
            </Button>
            <Button onClick={onClose}>Back to work</Button>
          </div>
        </section>
      </div>
    </div>
  );
}
