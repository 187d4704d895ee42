import { useState } from 'react';
import { OccasionPart, occasionWords } from './OccasionPart';
import { judged, whole, withAtLeast, withJudgement, type Draft, type Row } from './season';

/** A kind of bags: how many are there and made, the buyers that are expected, and why, when it is opened. */
export function BagRow({
  row,
  units,
  widest,
  onUnits,
  draft,
  today,
}: {
  row: Row;
  units: string;
  widest: number;
  onUnits: (text: string) => void;
  draft: Draft;
  today: string;
}) {
  const [open, setOpen] = useState(false);
  const name = [row.design, row.size, row.cloth].filter(Boolean).join(', ');
  const percent = draft.value?.judgements.find((one) => one.kind === row.kind)?.percent ?? 100;
  const at = (buyers: number) => Math.min(100, (100 * buyers) / Math.max(widest, 1));
  return (
    <>
      <tr>
        <td>
          <button
            type="button"
            className="min-h-11 text-left"
            aria-expanded={open}
            onClick={() => setOpen(!open)}
          >
            <span className="font-semibold text-woad underline decoration-dotted underline-offset-4">
              {row.design}
            </span>
            <span className="block text-[14px] text-soft">
              {[row.size, row.cloth].filter(Boolean).join(', ')}
              {row.judgement !== 100 && ` · ${judged(row.judgement)}`}
              {row.atLeast > 0 && ` · at least ${row.atLeast}`}
            </span>
            {occasionWords(row) && (
              <span className="block text-[14px] font-semibold">{occasionWords(row)}</span>
            )}
          </button>
        </td>
        <td className="num">{row.have}</td>
        <td className="num">
          <input
            className="field !w-[72px] text-right tabular-nums"
            inputMode="numeric"
            aria-label={`Make of ${name}`}
            aria-invalid={whole(units) === undefined}
            value={units}
            onFocus={(event) => event.target.select()}
            onChange={(event) => onUnits(event.target.value)}
          />
        </td>
        <td className="min-w-[150px]">
          <svg viewBox="0 0 100 10" preserveAspectRatio="none" className="h-[12px] w-full" aria-hidden>
            <rect
              x={at(row.low)}
              y="3"
              width={at(row.high) - at(row.low)}
              height="4"
              fill="var(--color-woad-mid)"
            />
            <rect x={at(row.wanted) - 0.6} y="0" width="1.2" height="10" fill="var(--color-ink)" />
          </svg>
          <span className="text-[14px] tabular-nums">{row.buyers}</span>
        </td>
        <td className="num">{row.soldOut} %</td>
        <td className="num">{row.next.amount}</td>
      </tr>
      {open && (
        <tr>
          <td colSpan={6} className="!border-t-0">
            <p>{row.reason}</p>
            <p className="text-soft">{row.rests}</p>
            <label className="mt-1 flex flex-wrap items-center gap-3">
              Your own judgement
              <input
                type="range"
                min={25}
                max={300}
                step={25}
                className="w-[220px]"
                value={percent}
                aria-valuetext={judged(percent)}
                onChange={(event) =>
                  draft.update((form) => withJudgement(form, row.kind, Number(event.target.value)))
                }
              />
              <span className="tabular-nums">{judged(percent)}</span>
            </label>
            <label className="mt-1 flex flex-wrap items-center gap-3">
              At least, whatever they bring
              <input
                className="field !w-[72px] text-right tabular-nums"
                inputMode="numeric"
                aria-label={`At least of ${name}`}
                value={String(draft.value?.atLeast.find((one) => one.kind === row.kind)?.units ?? '')}
                onChange={(event) => draft.update((form) => withAtLeast(form, row.kind, event.target.value))}
              />
            </label>
            <OccasionPart row={row} draft={draft} today={today} />
            {draft.isChanged && <p className="text-soft">“Plan again” reckons with it.</p>}
          </td>
        </tr>
      )}
    </>
  );
}
