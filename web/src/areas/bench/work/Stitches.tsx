const MOST = 60;

/** A seam with one stitch for each bag: those that are done are sewn, the others are still marked. */
export function Stitches({ done, all }: { done: number; all: number }) {
  if (all > MOST) {
    return (
      <span className="mt-1.5 block h-1.5 rounded bg-line" aria-hidden>
        <span className="block h-full rounded bg-moss" style={{ width: `${(100 * done) / all}%` }} />
      </span>
    );
  }
  return (
    <svg viewBox={`0 0 ${all * 16} 8`} className="mt-2 block h-3 max-w-full" aria-hidden>
      {Array.from({ length: all }, (_, i) => (
        <line
          key={i}
          x1={i * 16 + 3}
          x2={i * 16 + 13}
          y1="4"
          y2="4"
          className={i < done ? 'stroke-moss' : 'stroke-line-strong'}
          strokeWidth={i < done ? 4 : 2}
          strokeDasharray={i < done ? undefined : '2 3'}
          strokeLinecap="round"
        />
      ))}
    </svg>
  );
}
