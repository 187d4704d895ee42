import type { Schemas } from '../../api/client';
import { hatch } from '../../ui/Hatches';
import { sides, useUnits } from '../../ui/units';

type MatView = Schemas['MatView'];
type PieceKind = Schemas['PieceKind'];

const INCH = 25_400_000;
const CENTIMETRE = 10_000_000;
const MILLIMETRE = 1_000_000;
/** The cloth's width on the drawing; the hatches are made for it. */
const WIDE = 720;
const MARGIN = 44;
/** How wide a letter is on average, for its size. */
const DIGIT = 0.53;

/** The cloth on the cutting mat, to scale: its grid and rulers in the maker's unit. */
export function Mat({
  mat,
  kinds,
  directional,
  step,
  zoomed,
}: {
  mat: MatView;
  kinds: PieceKind[];
  directional: boolean;
  /** The step that comes next, or is looked at. */
  step?: Schemas['StepView'];
  zoomed: boolean;
}) {
  const units = useUnits();
  const measure = units.isInch ? INCH : CENTIMETRE;
  const every = units.isInch ? 5 : 10;
  const width = WIDE;
  const unit = mat.width / width;
  const length = mat.length / unit;
  const margin = MARGIN;
  const marks = measure / unit;
  const from = step && zoomed && step.across ? step.from / unit : 0;
  const to = step && zoomed && step.across ? step.to / unit : length;
  const text = margin * 0.34;
  const byLetter = new Map(kinds.map((kind) => [kind.letter, kind]));
  const done = new Set(mat.steps.filter((one) => one.done).map((one) => one.key));
  const lines = (most: number) =>
    Array.from({ length: Math.floor(most / (every * marks)) + 1 }, (_, i) => i * every);
  return (
    <svg
      viewBox={`${-margin} ${from - margin * 0.7} ${width + margin * 1.6} ${Math.max(to - from, 0.5) + margin * 1.3}`}
      className="block w-full rounded bg-[#173c37]"
      role="img"
      aria-label={`${mat.title}: ${mat.pieces.reduce((sum, piece) => sum + (piece.other ? 2 : 1), 0)} pieces on ${units.own(mat.wide)} by ${units.own(mat.used)}`}
    >
      {lines(width).map((mark) => {
        const x = mark * marks;
        return (
          <g key={`x${mark}`}>
            <line
              x1={x}
              x2={x}
              y1={from - margin}
              y2={to + margin}
              stroke="#2b5a52"
              strokeWidth={margin * 0.02}
            />
            <text
              x={x}
              y={from - margin * 0.2}
              fontSize={text}
              fill="#e3efe9"
              textAnchor="middle"
              className="tabular-nums"
            >
              {mark}
            </text>
          </g>
        );
      })}
      {lines(length)
        .filter((mark) => mark * marks >= from && mark * marks <= to)
        .map((mark) => {
          const y = mark * marks;
          return (
            <g key={`y${mark}`}>
              <line
                x1={-margin}
                x2={width + margin}
                y1={y}
                y2={y}
                stroke="#2b5a52"
                strokeWidth={margin * 0.02}
              />
              <text
                x={-margin * 0.16}
                y={y + text * 0.35}
                fontSize={text}
                fill="#e3efe9"
                textAnchor="end"
                className="tabular-nums"
              >
                {mark}
              </text>
            </g>
          );
        })}
      <rect x="0" y="0" width={width} height={length} fill="#e7e5da" />
      {mat.rests.map((rest) => (
        <g key={`${rest.x}-${rest.y}`}>
          <rect
            x={rest.x / unit}
            y={rest.y / unit}
            width={rest.width / unit}
            height={rest.height / unit}
            fill="#dff0e5"
            stroke="#2c6744"
            strokeDasharray={`${margin * 0.12} ${margin * 0.08}`}
            strokeWidth={margin * 0.03}
          />
          {Math.min(rest.width, rest.height) / unit > text * 2 && (
            <text
              x={(rest.x + rest.width / 2) / unit}
              y={(rest.y + rest.height / 2) / unit}
              fontSize={text * 0.8}
              textAnchor="middle"
              fill="#2c6744"
            >
              keep
            </text>
          )}
        </g>
      ))}
      {mat.pieces.map((piece) => (
        <Piece
          key={`${piece.letter}${piece.number}`}
          piece={piece}
          kind={byLetter.get(piece.letter)}
          unit={unit}
          text={text}
          directional={directional}
          done={done.has(piece.step)}
          size={(kind) => sides(units.own(kind.width), units.own(kind.height))}
        />
      ))}
      {step && step.kind !== 'SQUARE' && (
        <g stroke="#f2d675" strokeWidth={margin * 0.07}>
          {step.across ? (
            <>
              <line
                x1={-margin * 0.5}
                x2={width + margin * 0.5}
                y1={step.from / unit}
                y2={step.from / unit}
              />
              <line
                x1={-margin * 0.5}
                x2={width + margin * 0.5}
                y1={step.to / unit}
                y2={step.to / unit}
                strokeDasharray={`${margin * 0.25} ${margin * 0.15}`}
              />
            </>
          ) : (
            <line
              y1={-margin * 0.4}
              y2={length + margin * 0.4}
              x1={step.to / unit}
              x2={step.to / unit}
              strokeDasharray={`${margin * 0.25} ${margin * 0.15}`}
            />
          )}
        </g>
      )}
    </svg>
  );
}

/** Where the middle of a piece's label is: that of the piece, or where it leaves the part of the print free that the piece shows. */
function labelHeight(piece: Schemas['LaidPiece'], unit: number, letter: number) {
  const middle = piece.y + piece.height / 2;
  if (!piece.shows) return middle / unit;
  return piece.shows.y > middle
    ? piece.y / unit + letter * 1.1
    : (piece.y + piece.height) / unit - letter * 1.7;
}

function Piece({
  piece,
  kind,
  unit,
  text,
  directional,
  done,
  size,
}: {
  piece: Schemas['LaidPiece'];
  kind?: PieceKind;
  unit: number;
  text: number;
  directional: boolean;
  done: boolean;
  size: (kind: PieceKind) => string;
}) {
  const x = piece.x / unit;
  const y = piece.y / unit;
  const width = piece.width / unit;
  const height = piece.height / unit;
  const { other } = piece;
  const name = `${piece.letter}${piece.number}${other ? ` ${piece.letter}${other.number}` : ''}`;
  const letter = Math.min(text * 1.5, height * 0.42, width * (other ? 0.16 : 0.3));
  const roomForSize = !other && kind !== undefined && width > text * 6.5 && height > text * 3.4;
  const words = roomForSize ? size(kind) : '';
  const small = Math.min(letter * 0.6, (width * 0.92) / (words.length * DIGIT || 1));
  const box = Math.min(
    Math.max(letter * (other ? 4.2 : 2.4), words.length * DIGIT * small + letter * 0.4),
    width * 0.96,
  );
  const middle = labelHeight(piece, unit, letter);
  const bag =
    piece.bag === 0 ? 'cut once more' : `${piece.line ? `line ${piece.line}, ` : ''}bag ${piece.bag}`;
  return (
    <g opacity={done ? 0.45 : 1}>
      <title>
        {`${kind?.name ?? piece.letter} ${piece.number}, ${bag}${piece.turned ? ', turned' : ''}${
          other ? `; head to tail with ${other.number}, bag ${other.bag}` : ''
        }`}
      </title>
      <rect
        x={x}
        y={y}
        width={width}
        height={height}
        fill={other ? '#f6f3ea' : hatch(kind?.role ?? 'OUTER')}
        stroke="#14242d"
        strokeWidth={text * 0.08}
      />
      {other?.outlines.map((path) => (
        <path
          key={path}
          d={path}
          transform={`translate(${x} ${y}) scale(${MILLIMETRE / unit})`}
          fill={hatch(kind?.role ?? 'OUTER')}
          stroke="#14242d"
          strokeWidth={(text * 0.06 * unit) / MILLIMETRE}
        />
      ))}
      {letter > text * 0.35 && (
        <>
          <rect
            x={x + width / 2 - box / 2}
            y={middle - letter * 0.75}
            width={box}
            height={letter * (roomForSize ? 2.1 : 1.4)}
            rx={letter * 0.15}
            fill="#fff"
            fillOpacity=".92"
          />
          <text
            x={x + width / 2}
            y={middle + letter * 0.3}
            fontSize={letter}
            fontWeight="700"
            textAnchor="middle"
            fill="#14242d"
          >
            {name}
          </text>
          {roomForSize && (
            <text
              x={x + width / 2}
              y={middle + letter * 1.1}
              fontSize={small}
              textAnchor="middle"
              fill="#14242d"
            >
              {words}
            </text>
          )}
        </>
      )}
      {piece.shows && (
        <g data-part="motif" fill="none" stroke="var(--color-ink)" strokeWidth={text * 0.1}>
          <circle
            cx={piece.shows.x / unit}
            cy={piece.shows.y / unit}
            r={text * 0.75}
            fill="var(--color-yellow)"
          />
          <path
            d={`M${piece.shows.x / unit - text * 1.1} ${piece.shows.y / unit}h${text * 2.2}m${-text * 1.1} ${-text * 1.1}v${text * 2.2}`}
          />
          <title>{`“${piece.shows.motif}” of the print`}</title>
        </g>
      )}
      {directional && !other && height > text * 2.2 && width > text * 2 && (
        <path
          d={`M${x + text * 0.8} ${y + height - text * 0.6}v${-text * 1.2}m${-text * 0.35} ${text * 0.4}l${text * 0.35} ${-text * 0.4}l${text * 0.35} ${text * 0.4}`}
          fill="none"
          stroke="#14242d"
          strokeWidth={text * 0.1}
        />
      )}
    </g>
  );
}
