import { useId } from 'react';
import type { Schemas } from '../api/client';

type Material = Schemas['MaterialView'];
type Print = Schemas['FactsForm']['print'];

const INK = '#48595f';

/** What a cloth looks like from afar: its colour with a hatch for its print. */
function PrintPattern({ id, colour, print }: { id: string; colour: string; print: Print }) {
  const mark = 'rgba(255,255,255,.72)';
  const size = print === 'FLORAL' ? 14 : 8;
  return (
    <pattern id={id} width={size} height={size} patternUnits="userSpaceOnUse">
      <rect width={size} height={size} fill={colour} />
      {print === 'DOTS' && <circle cx="4" cy="4" r="1.5" fill={mark} />}
      {print === 'STRIPES' && <path d="M2 0v8" stroke={mark} strokeWidth="2" />}
      {print === 'CHECKS' && <path d="M0 2h8M2 0v8" stroke={mark} strokeWidth="1.6" />}
      {print === 'FLORAL' && (
        <g fill={mark}>
          <circle cx="7" cy="4.6" r="2" />
          <circle cx="4.6" cy="7" r="2" />
          <circle cx="9.4" cy="7" r="2" />
          <circle cx="7" cy="9.4" r="2" />
        </g>
      )}
      {print === 'TEXTURE' && <path d="M0 8L8 0M-2 2L2 -2M6 10L10 6" stroke={mark} strokeWidth=".9" />}
    </pattern>
  );
}

/** A bit of cloth, tape, a bag of filling or a compartment of notions in the material's own colour. */
export function Swatch({
  kind,
  colour,
  print = 'PLAIN',
  photo,
}: {
  kind: Material['kind'];
  colour: string;
  print?: Print;
  photo?: string;
}) {
  const id = useId();
  if (photo) {
    return (
      <img
        src={photo}
        alt=""
        className="h-[30px] w-[46px] shrink-0 rounded-sm border border-line-strong object-cover"
      />
    );
  }
  if (kind === 'CLOTH') {
    return (
      <svg width="46" height="30" className="shrink-0" aria-hidden>
        <PrintPattern id={id} colour={colour} print={print} />
        <rect x="2" y="4" width="34" height="22" fill={`url(#${id})`} stroke={INK} />
        <ellipse cx="37" cy="15" rx="6" ry="11" fill="#fff" stroke={INK} />
        <ellipse cx="37" cy="15" rx="2" ry="4" fill="#c9d3d2" />
      </svg>
    );
  }
  if (kind === 'TRIM' || kind === 'THREAD') {
    return (
      <svg width="46" height="30" className="shrink-0" aria-hidden>
        {kind === 'THREAD' ? (
          <>
            <path d="M12 3H30L27 7H15ZM15 23H27L30 27H12Z" fill="#fff" stroke={INK} />
            <rect x="13" y="7" width="16" height="16" fill={colour} stroke={INK} />
            <path d="M13 11H29M13 15H29M13 19H29" stroke="rgba(255,255,255,.5)" />
          </>
        ) : (
          <>
            <circle cx="17" cy="15" r="12" fill={colour} stroke={INK} />
            <circle cx="17" cy="15" r="5" fill="#fff" stroke={INK} />
            <path d="M17 27H44" stroke={colour} strokeWidth="5" />
            <path d="M17 27H44" stroke="#fff" strokeWidth="1.4" strokeDasharray="2 2" />
          </>
        )}
      </svg>
    );
  }
  if (kind === 'NOTION' || kind === 'PACKING') {
    return (
      <svg width="46" height="30" className="shrink-0" aria-hidden>
        <rect x="4" y="3" width="36" height="24" rx={kind === 'PACKING' ? 0 : 3} fill="#fff" stroke={INK} />
        {kind === 'PACKING' ? (
          <path d="M4 9H40M22 3V27" stroke={colour} strokeWidth="3" />
        ) : (
          [11, 22, 33].map((x) => (
            <circle key={x} cx={x} cy="15" r="4" fill={colour} stroke={INK} strokeWidth=".8" />
          ))
        )}
      </svg>
    );
  }
  return (
    <svg width="46" height="30" className="shrink-0" aria-hidden>
      <path d="M14 4H32L30 8Q38 14 36 27H10Q8 14 16 8Z" fill={colour} stroke={INK} />
      <path d="M14 9H32" stroke={INK} />
    </svg>
  );
}

const FULL = 5_000_000_000;

/**
 * A bolt seen from the side: the cloth that is left lies unrolled to the left of its core, to one scale for all bolts;
 * what is more than five metres stays on the roll, which is thicker for it.
 */
export function Bolt({
  colour,
  print,
  photo,
  length,
  free,
}: {
  colour: string;
  print: Print;
  photo?: string;
  /** What is left, in nanometres. */
  length: number;
  /** What no batch has reserved of it. */
  free: number;
}) {
  const id = useId();
  const there = Math.max(0, length);
  const out = Math.min(1, there / FULL);
  const thick = 9 + Math.min(17, 17 * Math.sqrt(Math.max(0, there - FULL) / (4 * FULL)));
  const left = 250 - 210 * out;
  const heldFrom = there === 0 ? 250 : left + 210 * out * Math.max(0, Math.min(1, free / there));
  return (
    <svg viewBox="0 0 290 62" className="w-full" aria-hidden>
      <defs>
        {photo ? (
          <pattern id={id} width="54" height="40" patternUnits="userSpaceOnUse">
            <image href={photo} width="54" height="40" preserveAspectRatio="xMidYMid slice" />
          </pattern>
        ) : (
          <PrintPattern id={id} colour={colour} print={print} />
        )}
      </defs>
      <path d="M40 55H250" stroke="#c9d3d2" />
      {[0, 1, 2, 3, 4, 5].map((metre) => (
        <path key={metre} d={`M${250 - metre * 42} 55v4`} stroke="#7f9292" />
      ))}
      {out > 0 && (
        <path d={`M${left} 12H254V52H${left}l4-6-4-7 4-7-4-7 4-7Z`} fill={`url(#${id})`} stroke={INK} />
      )}
      {heldFrom < 250 && there > 0 && (
        <rect x={heldFrom} y="12" width={254 - heldFrom} height="40" fill="rgba(20,36,45,.42)" />
      )}
      <rect
        x={254 - thick / 2}
        y="6"
        width={thick + 12}
        height="50"
        rx={thick / 2}
        fill={there > 0 ? `url(#${id})` : '#fff'}
        stroke={INK}
      />
      <ellipse cx={266 + thick / 2} cy="31" rx="6" ry="25" fill="#fff" stroke={INK} />
      <ellipse cx={266 + thick / 2} cy="31" rx="2" ry="7" fill="#c9d3d2" />
    </svg>
  );
}

/** Offcuts and precuts to one scale, each as it lies. */
export function OffcutDrawing({
  colour,
  print,
  width,
  height,
  scale,
}: {
  colour: string;
  print: Print;
  width: number;
  height: number;
  /** Pixels for a nanometre. */
  scale: number;
}) {
  const id = useId();
  const w = Math.max(8, width * scale);
  const h = Math.max(8, height * scale);
  return (
    <svg width={w + 2} height={h + 2} className="shrink-0" aria-hidden>
      <PrintPattern id={id} colour={colour} print={print} />
      <rect x="1" y="1" width={w} height={h} fill={`url(#${id})`} stroke={INK} strokeDasharray="4 2" />
    </svg>
  );
}
