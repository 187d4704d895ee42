import type { ReactNode } from 'react';

/** What a cost is made of, part by part: each hangs where the one before it ended, so that the last one ends at the whole. */
export function CostFall({ parts }: { parts: { name: string; minor: number; amount: ReactNode }[] }) {
  const whole = parts.reduce((sum, part) => sum + part.minor, 0) || 1;
  const begins = parts.map((_, i) => parts.slice(0, i).reduce((sum, part) => sum + part.minor, 0));
  return (
    <ul>
      {parts.map((part, i) => (
        <li key={part.name} className="py-1">
          <div className="flex justify-between gap-3">
            <span className="min-w-0 truncate">{part.name}</span>
            {part.amount}
          </div>
          <svg viewBox="0 0 100 3" preserveAspectRatio="none" className="block h-2 w-full" aria-hidden>
            <rect width="100" height="3" fill="var(--color-line-faint)" />
            <rect
              x={(Math.max(0, Math.min(begins[i] ?? 0, (begins[i] ?? 0) + part.minor)) / whole) * 100}
              width={(Math.abs(part.minor) / whole) * 100}
              height="3"
              fill={part.name === 'labour' ? 'var(--color-woad)' : 'var(--color-woad-mid)'}
            />
          </svg>
        </li>
      ))}
    </ul>
  );
}
