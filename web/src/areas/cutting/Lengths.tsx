import type { Schemas } from '../../api/client';
import { Notice } from '../../ui/Notice';
import { useUnits } from '../../ui/units';

type Roll = Schemas['RollView'];

const WIDE = 720;
const HIGH = 34;
/** A long roll's rest is drawn no longer than this share of what is cut from it. */
const REST = 0.2;
/** Below this a segment has no room for its letter. */
const NARROW = 16;

/** Which lengths of zip tape, webbing or cord are cut from which rolls and left-over lengths. */
export function Lengths({ trims }: { trims: Schemas['TrimLengths'][] }) {
  return (
    <div className="space-y-5">
      {trims.map((trim) => (
        <Trim key={trim.materialId} trim={trim} />
      ))}
    </div>
  );
}

function Trim({ trim }: { trim: Schemas['TrimLengths'] }) {
  const units = useUnits();
  const lost = trim.lost && `${units.own(trim.lost)} are lost in rests that are too short to keep`;
  const trimmed = trim.trimmed && `${units.own(trim.trimmed)} are trimmed off each end first`;
  const notes = [trimmed, lost, trim.isLeast && 'nothing less is possible'].filter(Boolean).join('; ');
  return (
    <section aria-label={trim.name}>
      <h2 className="flex items-center gap-2">
        <span
          className="size-5 rounded-sm border border-line-strong"
          style={{ background: trim.colour }}
          aria-hidden
        />
        {trim.name}: {units.amount(trim.needed)} of {units.amount(trim.free)}
      </h2>
      {notes && <p className="text-soft">{notes.charAt(0).toUpperCase() + notes.slice(1)}.</p>}
      {trim.shortBy && (
        <div className="mt-1.5">
          <Notice look="care">{units.amount(trim.shortBy)} of it have to be bought in one piece.</Notice>
        </div>
      )}
      <ol className="mt-2 space-y-3">
        {trim.rolls.map((roll) => (
          <li key={roll.title} className="sheet p-3">
            <div className="flex flex-wrap justify-between gap-x-4">
              <b>
                {roll.title}
                {roll.there && <span className="font-normal text-soft">, {units.own(roll.there)} long</span>}
              </b>
              <span className="text-soft">{rest(roll, units.own)}</span>
            </div>
            <p className="mt-0.5 text-[17px]">
              {roll.pieces.map((piece, i) => (
                <span key={piece.letter} className="whitespace-nowrap">
                  {i > 0 && ', '}
                  {piece.count} × {units.own(piece.length)} → <b>{piece.letter}</b>{' '}
                  <span className="text-soft">
                    {piece.name} ({units.other(piece.length)})
                  </span>
                </span>
              ))}
            </p>
            <Tape roll={roll} />
          </li>
        ))}
      </ol>
    </section>
  );
}

function rest(roll: Roll, own: (length: Schemas['LengthView']) => string) {
  if (!roll.there) return '';
  if (!roll.rest) return 'nothing is left';
  return roll.isKept
    ? `${own(roll.rest)} stay on the shelf`
    : `${own(roll.rest)} are left, too short to keep`;
}

/** A roll as it lies along the ruler, to scale; the rest of a long one is cut short. */
function Tape({ roll }: { roll: Roll }) {
  const used = roll.pieces.reduce((sum, piece) => sum + piece.count * piece.nanometres, 0);
  const shown = Math.min(roll.length, used * (1 + REST));
  const scale = WIDE / shown;
  const pieces = roll.pieces.flatMap((piece) => Array.from({ length: piece.count }, () => piece));
  const starts = pieces.map((_, i) => pieces.slice(0, i).reduce((sum, piece) => sum + piece.nanometres, 0));
  const torn = shown < roll.length;
  const edge = WIDE - (torn ? 8 : 0);
  return (
    <svg viewBox={`0 0 ${WIDE} ${HIGH}`} className="mt-1.5 block w-full" aria-hidden>
      <path
        d={torn ? `M0 2 H${edge} l8 7 l-8 8 l8 7 l-8 8 H0 z` : `M0 2 H${edge} V${HIGH - 2} H0 z`}
        fill={roll.isKept || !roll.there ? '#dff0e5' : '#e7e5da'}
        stroke="#9fb0b0"
      />
      {pieces.map((piece, i) => {
        const wide = piece.nanometres * scale;
        const x = (starts[i] ?? 0) * scale;
        return (
          <g key={i}>
            <rect x={x} y="2" width={wide} height={HIGH - 4} fill="#fff" stroke="#22384d" />
            {wide > NARROW && (
              <text
                x={x + wide / 2}
                y={HIGH / 2 + 5}
                textAnchor="middle"
                fontSize="15"
                fontWeight="700"
                fill="#22384d"
              >
                {piece.letter}
              </text>
            )}
          </g>
        );
      })}
    </svg>
  );
}
