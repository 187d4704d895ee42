import { useId } from 'react';
import type { Schemas } from '../api/client';
import { Print } from './BagPicture';
import { hatch } from './Hatches';
import { DrawnMark } from './PieceDrawing';
import { sides, useUnits } from './units';

type Edge = 'top' | 'right' | 'bottom' | 'left';

const EDGES: Edge[] = ['top', 'right', 'bottom', 'left'];

/** Room for what is said along an edge. */
const PAD = 26;
const INK = '#14242d';
const BLUE = '#1d5a85';
const PLAIN = [1, 0, 0, 1, 0, 0];

/**
 * A piece as it lies on its cloth: which edge is the top, where it is stitched and where folded, what is marked and trimmed, and how
 * print and grain run.
 */
export function PieceOnCloth({
  piece,
  folds,
  cloth,
  room,
}: {
  piece: Schemas['PieceView'];
  /** The edges that are folds. */
  folds: Edge[];
  /** What it is cut from, where that is chosen. */
  cloth: Schemas['PictureCloth'] | undefined;
  /** How wide and high it may be drawn, in pixels. */
  room: { across: number; up: number };
}) {
  const units = useUnits();
  const id = useId();
  const { drawing } = piece;
  const scale = Math.min((room.across - 2 * PAD) / drawing.width, (room.up - 2 * PAD) / drawing.height);
  const w = drawing.width * scale;
  const h = drawing.height * scale;
  const said = (edge: Edge) => {
    const seam = piece.edges[edge];
    return [edge === 'top' && 'top', folds.includes(edge) ? 'fold' : seam && units.own(seam)]
      .filter(Boolean)
      .join(' · ');
  };
  const thin = { vectorEffect: 'non-scaling-stroke' as const, fill: 'none', stroke: INK };
  const grain = Math.min(70, h * 0.55);
  const at = Math.min(18, w / 5);
  return (
    <figure className="m-0">
      <svg
        width={w + 2 * PAD}
        height={h + 2 * PAD}
        viewBox={`${-PAD} ${-PAD} ${w + 2 * PAD} ${h + 2 * PAD}`}
        className="mx-auto block max-w-full"
        role="img"
        aria-label={`${piece.name} on its cloth`}
      >
        {cloth && <Print id={id} colour={cloth.colour} cloth={cloth} frame={PLAIN} zoom={scale} />}
        <g transform={`scale(${scale})`}>
          <path d={drawing.outline} fill={cloth ? `url(#${id})` : hatch(piece.role)} />
          {cloth && <path d={drawing.outline} fill="#fff" fillOpacity=".35" />}
          <path d={drawing.outline} {...thin} strokeWidth="1.6" />
          {drawing.corners && <path d={drawing.corners} {...thin} strokeDasharray="4 3" />}
          {drawing.seams && <path d={drawing.seams} {...thin} strokeDasharray="5 3" strokeWidth="1.2" />}
          {drawing.trimmed && (
            <path
              d={drawing.trimmed}
              {...thin}
              stroke={BLUE}
              strokeWidth="1.6"
              strokeDasharray="1 3.5"
              strokeLinecap="round"
              data-part="trimmed"
            />
          )}
        </g>
        {drawing.marks.map((mark, i) => (
          <DrawnMark key={i} mark={mark} drawing={drawing} scale={scale} />
        ))}
        <g stroke={INK} strokeWidth="1.6" fill="none" data-part={piece.directional ? 'up' : 'grain'}>
          <path d={`M${at} ${(h + grain) / 2}V${(h - grain) / 2}m-4.5 6.5l4.5 -6.5l4.5 6.5`} />
          {!piece.directional && <path d={`M${at - 4.5} ${(h + grain) / 2 - 6.5}l4.5 6.5l4.5 -6.5`} />}
        </g>
        <g fontSize="13" textAnchor="middle" fill={INK}>
          <text x={w / 2} y={-8}>
            {said('top')}
          </text>
          <text x={w / 2} y={h + 17}>
            {said('bottom')}
          </text>
          <text transform={`translate(-8 ${h / 2}) rotate(-90)`}>{said('left')}</text>
          <text transform={`translate(${w + 8} ${h / 2}) rotate(90)`}>{said('right')}</text>
        </g>
        {EDGES.filter((edge) => folds.includes(edge)).map((edge) => (
          <path key={edge} d={along(edge, w, h)} stroke={BLUE} strokeWidth="3.5" data-part="fold" />
        ))}
      </svg>
      <figcaption className="mt-1 text-center text-[13px] text-soft">
        {[
          drawing.seams !== '' && 'stitched along the dashes',
          piece.directional ? 'the arrow points up' : 'the arrow runs along the cloth',
          piece.trimTo &&
            `trimmed to ${sides(units.own(piece.trimTo.width), units.own(piece.trimTo.height))}, dotted`,
        ]
          .filter(Boolean)
          .join('; ')}
      </figcaption>
    </figure>
  );
}

function along(edge: Edge, w: number, h: number) {
  return { top: `M0 0H${w}`, right: `M${w} 0V${h}`, bottom: `M0 ${h}H${w}`, left: `M0 0V${h}` }[edge];
}
