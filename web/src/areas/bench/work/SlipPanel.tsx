import { useState } from 'react';
import { Button } from '../../../ui/Button';
import { TextField } from '../../../ui/Field';
import { Panel } from '../../../ui/Panel';
import { clean, CutAgain, type Again } from './CutAgain';
import type { Entry } from './kept';
import { left, type Part, type Turn } from './progress';

export type Outcome = NonNullable<Entry['slip']>['outcome'];

const OUTCOMES: Record<Outcome, { word: string; says: string }> = {
  MENDED: { word: 'Mended', says: 'it goes on as if nothing had been' },
  SECOND: { word: 'A second', says: 'it is made to the end and sold cheaper' },
  SCRAP: { word: 'Scrap', says: 'it isn’t made any further' },
};

/** What the maker says of a slip. */
export interface Said {
  bags: number;
  outcome: Outcome;
  reason: string;
  /** What mending took, in milliseconds. */
  mending: number;
  usedUp: NonNullable<Entry['slip']>['usedUp'];
  /** What is cut once more for it. */
  again: Again | undefined;
  /** The bag had been counted here already. */
  wasCounted: boolean;
}

/** Something went wrong: of how many, from what, how it ended and what it used up. */
export function SlipPanel({
  batchId,
  turn,
  part,
  reasons,
  onSay,
  onClose,
}: {
  batchId: number;
  turn: Turn;
  part: Part;
  reasons: string[];
  onSay: (said: Said) => void;
  onClose: () => void;
}) {
  const [outcome, setOutcome] = useState<Outcome>('MENDED');
  const [bags, setBags] = useState('1');
  const [reason, setReason] = useState('');
  const [minutes, setMinutes] = useState('');
  const [wasCounted, setWasCounted] = useState(left(part) === 0);
  const [used, setUsed] = useState<Record<string, boolean>>({});
  const [again, setAgain] = useState<Again>();
  const [wrong, setWrong] = useState<{ bags?: string; minutes?: string }>({});
  const keyOf = (take: Part['takes'][number]) => `${take.materialId} ${take.part}`;
  const isUsed = (take: Part['takes'][number]) => used[keyOf(take)] ?? (outcome === 'SCRAP' && take.byNow);

  const say = () => {
    const count = /^\d+$/.test(bags.trim()) ? Number(bags) : 0;
    const most = wasCounted ? part.done : left(part);
    const mending = minutes.trim() === '' ? 0 : Number(minutes.trim().replace(',', '.'));
    const next = {
      bags:
        count < 1
          ? `“${bags}” isn’t a number of bags. Type 1 or more.`
          : count > most
            ? wasCounted
              ? `Only ${most} are counted here.`
              : `Only ${most} are still to be done here. Say that it was counted, if it was.`
            : undefined,
      minutes:
        outcome === 'MENDED' && !(mending >= 0 && mending <= 600)
          ? `“${minutes}” isn’t a number of minutes up to 600.`
          : undefined,
    };
    setWrong(next);
    if (next.bags || next.minutes) return;
    onSay({
      bags: count,
      outcome,
      reason: reason.trim(),
      mending: outcome === 'MENDED' ? Math.round(mending * 60_000) : 0,
      usedUp: part.takes.filter(isUsed).map(({ materialId, part: half }) => ({ materialId, part: half })),
      again: clean(again, outcome),
      wasCounted: wasCounted && outcome === 'SCRAP',
    });
  };

  return (
    <Panel title={`Something went wrong at “${turn.name}”`} open onOpenChange={(open) => !open && onClose()}>
      <form
        noValidate
        className="space-y-4"
        onSubmit={(event) => {
          event.preventDefault();
          say();
        }}
      >
        <p className="text-soft">
          {part.what}
          {part.cloth && ` · ${part.cloth}`}
        </p>
        <div>
          <TextField
            label="What happened"
            maxLength={300}
            value={reason}
            onChange={(event) => setReason(event.target.value)}
          />
          <div className="mt-2 flex flex-wrap gap-2">
            {reasons.map((one) => (
              <button
                key={one}
                type="button"
                aria-pressed={reason === one}
                className={`min-h-11 rounded border px-3 ${reason === one ? 'border-woad bg-woad-tint font-semibold' : 'border-line-strong bg-white hover:bg-woad-tint'}`}
                onClick={() => setReason(one)}
              >
                {one}
              </button>
            ))}
          </div>
        </div>
        <fieldset>
          <legend className="text-[13px] font-semibold text-soft">How it ended</legend>
          <div className="grid gap-2 md:grid-cols-3">
            {(Object.keys(OUTCOMES) as Outcome[]).map((one) => (
              <label
                key={one}
                className={`block min-h-14 cursor-pointer rounded border-2 px-3 py-2 ${outcome === one ? 'border-woad bg-woad-tint' : 'border-line'}`}
              >
                <input
                  type="radio"
                  name="outcome"
                  className="mr-2"
                  checked={outcome === one}
                  onChange={() => {
                    setOutcome(one);
                    setAgain(undefined);
                  }}
                />
                <b>{OUTCOMES[one].word}</b>
                <span className="block text-[13px] text-soft">{OUTCOMES[one].says}</span>
              </label>
            ))}
          </div>
        </fieldset>
        <div className="grid grid-cols-2 gap-3">
          <TextField
            label="How many bags"
            inputMode="numeric"
            value={bags}
            error={wrong.bags}
            onChange={(event) => setBags(event.target.value)}
          />
          {outcome === 'MENDED' && (
            <TextField
              label="Minutes for mending"
              inputMode="decimal"
              value={minutes}
              error={wrong.minutes}
              onChange={(event) => setMinutes(event.target.value)}
            />
          )}
        </div>
        {outcome === 'SCRAP' && (
          <label className="flex min-h-11 items-center gap-2.5">
            <input
              type="checkbox"
              className="size-6"
              checked={wasCounted}
              onChange={(event) => setWasCounted(event.target.checked)}
            />
            It was counted here already
          </label>
        )}
        {part.takes.length > 0 && (
          <fieldset>
            <legend className="text-[13px] font-semibold text-soft">
              {outcome === 'SCRAP'
                ? 'What of it is in the bag and lost; the rest stays on the shelf'
                : 'What it takes once more'}
            </legend>
            {part.takes.map((take) => (
              <label key={keyOf(take)} className="flex min-h-11 items-center gap-2.5">
                <input
                  type="checkbox"
                  className="size-6"
                  checked={isUsed(take)}
                  onChange={(event) => setUsed({ ...used, [keyOf(take)]: event.target.checked })}
                />
                {take.name} <span className="text-soft">{take.amount.text}</span>
              </label>
            ))}
          </fieldset>
        )}
        <CutAgain
          batchId={batchId}
          line={part.line}
          bags={/^\d{1,3}$/.test(bags.trim()) ? Number(bags) : 1}
          outcome={outcome}
          again={again}
          onChange={setAgain}
        />
        <Button type="submit" className="!min-h-14 text-lg">
          Log it
        </Button>
      </form>
    </Panel>
  );
}
