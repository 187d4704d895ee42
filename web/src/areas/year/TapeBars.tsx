import { ticks } from '../../ui/scale';

export interface Bar {
  name: string;
  /** Beside the name, in small letters. */
  more?: string;
  /** Nothing where there is no figure to draw. */
  value?: number;
  text: string;
  /** It deserves a look: drawn striped. */
  marked?: boolean;
}

const MOST = 9;

/** Bars laid against a measuring tape. What is compared with is a line through all of them. */
export function TapeBars({
  bars,
  against,
  unit = 1,
  what,
}: {
  bars: Bar[];
  against?: { value: number; text: string };
  /** So many of the values' units are one on the tape. */
  unit?: number;
  /** What stands on the tape. */
  what: string;
}) {
  const shown = bars.slice(0, MOST);
  const values = [...shown.map((bar) => bar.value ?? 0), against?.value ?? 0, 0].map((value) => value / unit);
  const least = Math.min(...values);
  const most = Math.max(...values, least + 1e-9);
  const marks = ticks(least, most, 6);
  const at = (value: number) => ((value - least) / (most - least)) * 100;
  return (
    <div aria-hidden>
      <div className="grid grid-cols-[38%_1fr_74px] gap-x-2 text-[13px]">
        <span />
        <div className="relative h-[22px] border-x border-tape-edge bg-tape">
          {marks.map((mark) => (
            <span
              key={mark}
              className="absolute bottom-0 flex -translate-x-1/2 flex-col items-center"
              style={{ left: `${at(mark)}%` }}
            >
              <span
                className={at(mark) < 3 || at(mark) > 97 ? 'invisible' : 'leading-4 text-soft max-sm:hidden'}
              >
                {Number(mark.toFixed(6))}
              </span>
              <span className="h-1.5 border-l border-ink" />
            </span>
          ))}
        </div>
        <span className="self-end text-right text-soft">{what}</span>
      </div>
      {shown.map((bar, i) => (
        <div key={i} className="grid grid-cols-[38%_1fr_74px] items-center gap-x-2">
          <span className="py-[3px] leading-5">
            {bar.name}
            {bar.more && <span className="text-[13px] text-soft"> {bar.more}</span>}
          </span>
          <span className="relative h-full min-h-[26px] border-x border-line-faint">
            <svg className="absolute top-1/2 h-[18px] w-full -translate-y-1/2 overflow-visible">
              {bar.value !== undefined && (
                <rect
                  x={`${at(Math.min(0, bar.value / unit))}%`}
                  width={`${(Math.abs(bar.value / unit) / (most - least)) * 100}%`}
                  height="18"
                  fill={bar.marked ? 'url(#striped)' : 'var(--color-woad)'}
                  stroke={bar.marked ? 'var(--color-madder)' : 'var(--color-woad)'}
                  rx="2"
                />
              )}
            </svg>
            {against && (
              <span
                className="absolute inset-y-0 border-l-2 border-dashed border-ink"
                style={{ left: `${at(against.value / unit)}%` }}
              />
            )}
          </span>
          <b className="text-right tabular-nums">{bar.text}</b>
        </div>
      ))}
      {against && <p className="mt-1 text-[13px] text-soft">The dashed line is {against.text}.</p>}
      {bars.length > MOST && (
        <p className="mt-1 text-[13px] text-soft">
          {bars.length - MOST} more {bars.length - MOST === 1 ? 'is' : 'are'} among the numbers.
        </p>
      )}
    </div>
  );
}
