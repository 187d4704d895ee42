import { useId } from 'react';
import type { Schemas } from '../api/client';
import { hatch } from './Hatches';
import { sides, useUnits, withoutUnit } from './units';
import { WorkedFigure } from './WorkedFigure';

type Piece = Schemas['PieceView'];
type Drawing = Schemas['DrawingView'];
type Mark = Schemas['MarkView'];

const GAP = 12;
const LEAST_COLUMN = 134;
const CAPTION = 64;
const LARGEST_SCALE = 2.2;
const SMALLEST_SCALE = 0.05;
const FINER = 0.96;
/** Room for the line along an edge, thin or broad. */
const PADDING = { thin: 1, broad: 3 };

/** All pieces to one scale, hatched by role; each with its size in both units and how it came about. */
export function PieceDrawings({
  pieces,
  width,
  height,
  onOpen,
}: {
  pieces: Piece[];
  width: number;
  height: number;
  onOpen?: (letter: string) => void;
}) {
  const scale = scaleFor(pieces, width, height);
  return (
    <ul className="flex flex-wrap content-center items-end gap-x-3 gap-y-2">
      {pieces.map((piece) => (
        <li
          key={piece.letter}
          style={{ width: Math.max(LEAST_COLUMN, piece.drawing.width * scale + 2) }}
          className="text-center"
        >
          <PieceShape piece={piece} scale={scale} />
          <PieceSize piece={piece} onOpen={onOpen} />
        </li>
      ))}
    </ul>
  );
}

/** One scale for all: the largest at which the rows of pieces with their captions fit. */
function scaleFor(pieces: Piece[], width: number, height: number) {
  let scale = LARGEST_SCALE;
  while (scale > SMALLEST_SCALE && rowsHeight(pieces, width, scale) > height) scale *= FINER;
  return scale;
}

function rowsHeight(pieces: Piece[], width: number, scale: number) {
  let total = 0;
  let left = width + GAP;
  let tallest = 0;
  for (const { drawing } of pieces) {
    const column = Math.max(LEAST_COLUMN, drawing.width * scale) + GAP;
    if (column > width) return Infinity;
    if (column > left) {
      total += tallest + CAPTION;
      left = width + GAP;
      tallest = 0;
    }
    left -= column;
    tallest = Math.max(tallest, drawing.height * scale);
  }
  return total + tallest + CAPTION;
}

export type Side = Schemas['WorkPiece']['along'][number];

/** The quarter of a rectangle that lies at one of its sides. */
const QUARTERS: Record<Side, string> = {
  TOP: '-.1,-.1 1.1,-.1 .5,.5',
  RIGHT: '1.1,-.1 1.1,1.1 .5,.5',
  BOTTOM: '1.1,1.1 -.1,1.1 .5,.5',
  LEFT: '-.1,1.1 -.1,-.1 .5,.5',
};

/** The outline, drawn broad as far as it belongs to some sides. */
function LitSides({ drawing, scale, sides }: { drawing: Drawing; scale: number; sides: Side[] }) {
  const id = useId();
  return (
    <>
      <clipPath id={id} clipPathUnits="objectBoundingBox">
        {sides.map((side) => (
          <polygon key={side} points={QUARTERS[side]} />
        ))}
      </clipPath>
      <path
        d={drawing.outline}
        transform={`scale(${scale})`}
        clipPath={`url(#${id})`}
        fill="none"
        stroke="var(--color-madder)"
        strokeWidth="6"
        vectorEffect="non-scaling-stroke"
        data-part="lit"
      />
    </>
  );
}

/** A piece by itself, as large as fits. */
export function PieceShape({ piece, scale, lit = [] }: { piece: Piece; scale: number; lit?: Side[] }) {
  const w = piece.drawing.width * scale;
  const h = piece.drawing.height * scale;
  const pad = lit.length > 0 ? PADDING.broad : PADDING.thin;
  return (
    <svg
      width={w + 2 * pad}
      height={h + 2 * pad}
      viewBox={`${-pad} ${-pad} ${w + 2 * pad} ${h + 2 * pad}`}
      className="mx-auto block"
      aria-hidden
    >
      <DrawnPiece drawing={piece.drawing} scale={scale} fill={hatch(piece.role)} />
      {lit.length > 0 && <LitSides drawing={piece.drawing} scale={scale} sides={lit} />}
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

/** The cut line, the stitch lines, and the marks; lines stay equally thin at every scale. */
function DrawnPiece({ drawing, scale, fill }: { drawing: Drawing; scale: number; fill: string }) {
  const thin = { vectorEffect: 'non-scaling-stroke' as const, fill: 'none', stroke: '#14242d' };
  return (
    <>
      <g transform={`scale(${scale})`}>
        <path d={drawing.outline} fill={fill} stroke="none" />
        <path d={drawing.outline} {...thin} data-part="outline" />
        {drawing.corners && <path d={drawing.corners} {...thin} strokeDasharray="4 3" data-part="corners" />}
        {drawing.seams && (
          <path
            d={drawing.seams}
            {...thin}
            strokeOpacity=".55"
            strokeDasharray="2 2.5"
            strokeWidth=".9"
            data-part="seams"
          />
        )}
      </g>
      {drawing.marks.map((mark, i) => (
        <DrawnMark key={i} mark={mark} drawing={drawing} scale={scale} />
      ))}
    </>
  );
}

export function DrawnMark({ mark, drawing, scale }: { mark: Mark; drawing: Drawing; scale: number }) {
  const x = (mark.x ?? 0) * scale;
  const y = (mark.y ?? 0) * scale;
  const w = drawing.width * scale;
  const h = drawing.height * scale;
  const name = <title>{mark.label}</title>;
  switch (mark.kind) {
    case 'POCKET':
      return (
        <rect
          x={x}
          y={y}
          width={mark.width * scale}
          height={mark.height * scale}
          fill="#fff"
          fillOpacity=".55"
          stroke="#14242d"
          strokeDasharray="3 2"
        >
          {name}
        </rect>
      );
    case 'HARDWARE':
      return (
        <g transform={`translate(${x},${y})`} stroke="#14242d" fill="#fff">
          {name}
          <circle r="4" />
          <path d="M-6 0H6M0-6V6" />
        </g>
      );
    case 'MOTIF':
      return (
        <g
          transform={`translate(${x},${y})`}
          stroke="var(--color-ink)"
          fill="var(--color-yellow)"
          fillOpacity=".8"
        >
          {name}
          <path d="M0-9L9 0L0 9L-9 0Z" />
          <circle r="3" fill="var(--color-white)" />
        </g>
      );
    case 'GAP':
      return (
        <path
          d={mark.height > 0 ? `M${x} ${y}v${mark.height * scale}` : `M${x} ${y}h${mark.width * scale}`}
          stroke="#a2382c"
          strokeWidth="4"
        >
          {name}
        </path>
      );
    case 'NOTCH':
      return (
        <path d={`M${x - 4} ${y}l4 ${y > h / 2 ? -7 : 7}l4 ${y > h / 2 ? 7 : -7}z`} fill="#14242d">
          {name}
        </path>
      );
    case 'CENTRE':
      return (
        <path d={`M${w / 2} 0V${h}`} stroke="#14242d" strokeDasharray="8 3 2 3" strokeWidth=".8">
          {name}
        </path>
      );
    case 'FOLD_LINE':
      return (
        <path
          d={mark.y == null ? `M${x} 0V${h}` : `M0 ${y}H${w}`}
          stroke="#1d5a85"
          strokeWidth="1.4"
          strokeDasharray="9 4"
        >
          {name}
        </path>
      );
  }
}

function PieceSize({ piece, onOpen }: { piece: Piece; onOpen?: (letter: string) => void }) {
  const units = useUnits();
  const name = `${piece.letter} · ${piece.name}${piece.count > 1 ? ` × ${piece.count}` : ''}`;
  return (
    <div className="mt-1 leading-tight">
      {onOpen ? (
        <button
          type="button"
          className="min-h-6 text-[13px] text-soft hover:text-woad hover:underline"
          onClick={() => onOpen(piece.letter)}
        >
          {name}
        </button>
      ) : (
        <div className="text-[13px] text-soft">{name}</div>
      )}
      <div className="text-[14px] whitespace-nowrap">
        <WorkedFigure label={`${piece.name}, width`} working={piece.width.working}>
          {withoutUnit(units.own(piece.width.value), units.own(piece.height.value))}
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

/** An assembled panel by itself, with its zips drawn as teeth. */
export function PanelShape({ panel, room }: { panel: Schemas['PanelView']; room: number }) {
  const { drawing, zips } = panel;
  const scale = room / Math.max(drawing.width, drawing.height);
  return (
    <svg
      width={drawing.width * scale + 2}
      height={drawing.height * scale + 2}
      viewBox={`-1 -1 ${drawing.width * scale + 2} ${drawing.height * scale + 2}`}
      role="img"
      aria-label={`${panel.name} to scale`}
    >
      <DrawnPiece drawing={drawing} scale={scale} fill={hatch('OUTER')} />
      {zips.map((zip, i) => (
        <rect
          key={i}
          x={zip.x * scale}
          y={zip.y * scale}
          width={zip.width * scale}
          height={zip.height * scale}
          fill="#fff"
          stroke="#14242d"
          strokeDasharray="2 1.5"
        />
      ))}
    </svg>
  );
}
