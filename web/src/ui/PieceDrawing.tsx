import type { Schemas } from '../api/client';
import { hatch } from './Hatches';
import { sides, useUnits } from './units';
import { WorkedFigure } from './WorkedFigure';

type Piece = Schemas['PieceView'];
type Drawing = Schemas['DrawingView'];

const GAP = 14;
const LEAST_COLUMN = 104;

/** All pieces to one scale, hatched by role; each with its size in both units and how it came about. */
export function PieceDrawings({ pieces, width, height }: { pieces: Piece[]; width: number; height: number }) {
  const total = pieces.reduce((sum, piece) => sum + piece.drawing.width, 0);
  const tallest = Math.max(1, ...pieces.map((piece) => piece.drawing.height));
  const fitting = (height - 4) / tallest;
  const small = pieces.filter((piece) => piece.drawing.width * fitting < LEAST_COLUMN);
  const room = width - GAP * pieces.length - LEAST_COLUMN * small.length;
  const large = Math.max(1, total - small.reduce((sum, piece) => sum + piece.drawing.width, 0));
  const scale = Math.max(0.02, Math.min(room / large, fitting, 2.2));
  return (
    <ul className="flex flex-wrap content-center items-end justify-between gap-x-3 gap-y-2">
      {pieces.map((piece) => (
        <li key={piece.letter} style={{ minWidth: LEAST_COLUMN }} className="text-center">
          <PieceShape piece={piece} scale={scale} />
          <PieceSize piece={piece} />
        </li>
      ))}
    </ul>
  );
}

function PieceShape({ piece, scale }: { piece: Piece; scale: number }) {
  const w = piece.drawing.width * scale;
  const h = piece.drawing.height * scale;
  return (
    <svg
      width={w + 2}
      height={h + 2}
      viewBox={`-1 -1 ${w + 2} ${h + 2}`}
      className="mx-auto block"
      aria-hidden
    >
      <Outline drawing={piece.drawing} scale={scale} fill={hatch(piece.role)} />
      {piece.directional && h > 60 && (
        <path d="M12 34v-20m-5 6l5-6l5 6" stroke="#14242d" fill="none" strokeWidth="1.6" />
      )}
      {h > 30 && w > 30 && (
        <>
          <rect x={w / 2 - 14} y={h / 2 - 13} width="28" height="26" rx="4" fill="#fff" fillOpacity=".92" />
          <text x={w / 2} y={h / 2 + 6} fontSize="17" fontWeight="700" textAnchor="middle">
            {piece.letter}
          </text>
        </>
      )}
    </svg>
  );
}

function PieceSize({ piece }: { piece: Piece }) {
  const units = useUnits();
  return (
    <div className="mt-1 leading-tight">
      <div className="text-[13px] text-soft">
        {piece.letter} · {piece.name}, {piece.perUnit} each
      </div>
      <div className="whitespace-nowrap">
        <WorkedFigure label={`${piece.name}, width`} working={piece.width.working}>
          {units.own(piece.width.value)}
        </WorkedFigure>
        {' × '}
        <WorkedFigure label={`${piece.name}, height`} working={piece.height.working}>
          {units.own(piece.height.value)}
        </WorkedFigure>
      </div>
      <div className="text-[13px] text-soft">
        {sides(units.other(piece.width.value), units.other(piece.height.value))}
      </div>
    </div>
  );
}

function Outline({ drawing, scale, fill }: { drawing: Drawing; scale: number; fill: string }) {
  const w = drawing.width * scale;
  const h = drawing.height * scale;
  const corner = drawing.corner;
  if (!corner || drawing.atBothEnds) return <rect width={w} height={h} fill={fill} stroke="#14242d" />;
  const a = corner.fromSide * scale;
  const b = corner.fromBase * scale;
  const cut = `M0 0H${w}V${h - b}H${w - a}V${h}H${a}V${h - b}H0Z`;
  if (drawing.cutAway) return <path d={cut} fill={fill} stroke="#14242d" />;
  return (
    <>
      <rect width={w} height={h} fill={fill} stroke="#14242d" />
      <path
        d={`M0 ${h - b}H${a}V${h}M${w} ${h - b}H${w - a}V${h}`}
        fill="none"
        stroke="#14242d"
        strokeDasharray="4 3"
      />
    </>
  );
}
