import type { Schemas } from '../api/client';
import { hatch } from './Hatches';
import { sides, useUnits } from './units';

type Piece = Schemas['PieceView'];
type Drawing = Schemas['DrawingView'];

const GAP = 22;

/** All pieces to one scale, hatched by role, with their sizes in both units. */
export function PieceDrawings({ pieces, width, height }: { pieces: Piece[]; width: number; height: number }) {
  const units = useUnits();
  if (pieces.length === 0) return null;
  const total = pieces.reduce((sum, piece) => sum + piece.drawing.width, 0);
  const tallest = Math.max(...pieces.map((piece) => piece.drawing.height));
  const least = 96;
  const scale = Math.min((width - GAP * (pieces.length + 1)) / total, (height - 66) / tallest, 2.2);
  const columns = pieces.map((piece) => Math.max(least, piece.drawing.width * scale));
  const needed = columns.reduce((sum, column) => sum + column + GAP, GAP);
  const lefts = columns.map((_, i) => columns.slice(0, i).reduce((sum, column) => sum + column + GAP, GAP));
  return (
    <svg
      viewBox={`0 0 ${Math.max(width, needed)} ${height}`}
      className="block h-auto w-full"
      role="img"
      aria-label={`Pieces to scale: ${pieces
        .map((p) => `${p.letter} ${p.name}, ${sides(units.own(p.width.value), units.own(p.height.value))}`)
        .join('; ')}`}
    >
      {pieces.map((piece, i) => {
        const column = columns[i] ?? least;
        const left = lefts[i] ?? GAP;
        const w = piece.drawing.width * scale;
        const h = piece.drawing.height * scale;
        const middle = left + column / 2;
        return (
          <g key={piece.letter}>
            <g transform={`translate(${middle - w / 2},${6 + (tallest * scale - h) / 2})`}>
              <Outline drawing={piece.drawing} scale={scale} fill={hatch(piece.role)} />
              {piece.directional && h > 60 && (
                <path d="M12 34v-20m-5 6l5-6l5 6" stroke="#14242d" fill="none" strokeWidth="1.6" />
              )}
              {h > 30 && w > 30 && (
                <>
                  <rect
                    x={w / 2 - 14}
                    y={h / 2 - 13}
                    width="28"
                    height="26"
                    rx="4"
                    fill="#fff"
                    fillOpacity=".92"
                  />
                  <text x={w / 2} y={h / 2 + 6} fontSize="17" fontWeight="700" textAnchor="middle">
                    {piece.letter}
                  </text>
                </>
              )}
            </g>
            <g textAnchor="middle" fill="#14242d">
              <text x={middle} y={height - 40} fontSize="13" fill="#48595f">
                {piece.letter} · {piece.name}
              </text>
              <text x={middle} y={height - 22} fontSize="14.5" fontWeight="700">
                {sides(units.own(piece.width.value), units.own(piece.height.value))}
              </text>
              <text x={middle} y={height - 5} fontSize="13" fill="#48595f">
                {sides(units.other(piece.width.value), units.other(piece.height.value))}
              </text>
            </g>
          </g>
        );
      })}
    </svg>
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
