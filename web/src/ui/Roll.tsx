import type { Schemas } from '../api/client';

/** A bit of cloth, tape, a bag of filling or a compartment of notions in the material's own colour. */
export function Swatch({ kind, colour }: { kind: Schemas['MaterialView']['kind']; colour: string }) {
  if (kind === 'CLOTH') {
    return (
      <svg width="46" height="30" className="shrink-0" aria-hidden>
        <rect x="2" y="4" width="34" height="22" fill={colour} stroke="#48595f" />
        <ellipse cx="37" cy="15" rx="6" ry="11" fill="#fff" stroke="#48595f" />
        <ellipse cx="37" cy="15" rx="2" ry="4" fill="#c9d3d2" />
      </svg>
    );
  }
  if (kind === 'TRIM') {
    return (
      <svg width="46" height="30" className="shrink-0" aria-hidden>
        <circle cx="17" cy="15" r="12" fill={colour} stroke="#48595f" />
        <circle cx="17" cy="15" r="5" fill="#fff" stroke="#48595f" />
        <path d="M17 27H44" stroke={colour} strokeWidth="5" />
        <path d="M17 27H44" stroke="#fff" strokeWidth="1.4" strokeDasharray="2 2" />
      </svg>
    );
  }
  if (kind !== 'NOTION') {
    return (
      <svg width="46" height="30" className="shrink-0" aria-hidden>
        <path d="M14 4H32L30 8Q38 14 36 27H10Q8 14 16 8Z" fill={colour} stroke="#48595f" />
        <path d="M14 9H32" stroke="#48595f" />
      </svg>
    );
  }
  return (
    <svg width="46" height="30" className="shrink-0" aria-hidden>
      <rect x="4" y="3" width="36" height="24" rx="3" fill="#fff" stroke="#48595f" />
      {[11, 22, 33].map((x) => (
        <circle key={x} cx={x} cy="15" r="4" fill={colour} stroke="#48595f" strokeWidth=".8" />
      ))}
    </svg>
  );
}
