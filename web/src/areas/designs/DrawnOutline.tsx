import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { Schemas } from '../../api/client';
import { useUnits } from '../../ui/units';
import { copied, replaced, useEditing, without } from './editing';
import { Choice, FormulaField, PartHeading, RowButton, Tick } from './fields';
import { halfOf, wholeOf } from './halves';
import { stepOf, typedNear } from './steps';
import { DRAWN_LINES, DRAWN_TIPS, EDGES } from './words';

type Drawn = Schemas['DrawnRow'];
type DrawnPoint = Schemas['DrawnPoint'];
type Drawing = Schemas['DrawingView'];
type Handle = Schemas['HandleView'];

const WIDE = 380;
const HIGH = 300;
const PAD = 16;
const INK = '#14242d';
const BLUE = '#1d5a85';

/** With what drawing begins: half of the piece's rectangle, whatever size it has. */
export const rectangleOf = (none: string): Drawn => ({
  points: [
    { across: 'piece_width / 2', down: none, curved: false, corner: false, side: 'TOP' },
    { across: 'piece_width / 2', down: 'drawn_height', curved: false, corner: false, side: 'RIGHT' },
  ],
  mirrored: true,
  line: 'CUT',
  tips: 'MITRED',
  tallerAt: '',
  tallerBy: '',
});

/** An outline drawn by hand: its points on the piece, to be moved there, and what each is, to be typed. */
export function DrawnOutline({
  place,
  letter,
  drawn,
  onChange,
}: {
  /** Where findings about it point at. */
  place: string;
  letter: string;
  drawn: Drawn;
  onChange: (next: Partial<Drawn>) => void;
}) {
  const { shown } = useEditing();
  const { isInch } = useUnits();
  const drawing = shown?.pieces.find((piece) => piece.letter === letter)?.drawing;
  const handles = drawing?.handles.length === drawn.points.length ? drawing.handles : [];
  const change = (index: number, next: Partial<DrawnPoint>) =>
    onChange({ points: replaced(drawn.points, index, next) });
  const typed = (handle: Handle, x: number, y: number) => ({
    across: typedNear(x - handle.fromX, isInch),
    down: typedNear(y - handle.fromY, isInch),
  });
  const add = (index: number) => {
    const point = drawn.points[index];
    if (!point) return;
    const here = handles[index];
    const next = handles[(index + 1) % handles.length];
    const between = here && next && typed(here, (here.x + next.x) / 2, (here.y + next.y) / 2);
    onChange({ points: copied(drawn.points, index, { ...point, ...between }) });
  };
  return (
    <div className="my-2 space-y-3">
      {drawing && (
        <Board
          drawing={drawing}
          handles={handles}
          step={stepOf(isInch)}
          onMove={(index, x, y) => {
            const handle = handles[index];
            if (handle) change(index, typed(handle, x, y));
          }}
        />
      )}
      <div className="grid grid-cols-2 gap-x-3 gap-y-2">
        <Tick
          label="Only the right half is drawn"
          checked={drawn.mirrored}
          onTick={(mirrored) =>
            onChange(mirrored ? halfOf(drawn, handles, drawing?.width ?? 0, isInch) : wholeOf(drawn))
          }
        />
        <span />
        <Choice
          label="Drawn is"
          value={drawn.line}
          options={DRAWN_LINES}
          onChoose={(line) => onChange({ line })}
        />
        {drawn.line === 'SEWN' ? (
          <Choice
            label="Sharp corners are"
            value={drawn.tips}
            options={DRAWN_TIPS}
            onChoose={(tips) => onChange({ tips })}
          />
        ) : (
          <span />
        )}
        <FormulaField
          label="Let in across, so far below the top"
          place={`${place}.tallerAt`}
          value={drawn.tallerAt}
          onType={(tallerAt) => onChange({ tallerAt })}
        />
        <FormulaField
          label="Taller there by"
          place={`${place}.tallerBy`}
          value={drawn.tallerBy}
          onType={(tallerBy) => onChange({ tallerBy })}
        />
      </div>
      <section aria-label="Points of the outline">
        <PartHeading
          title={drawn.mirrored ? 'Points, from the middle of the top downwards' : 'Points, round the piece'}
          add="Add a point"
          onAdd={() => add(drawn.points.length - 1)}
        />
        <ol className="m-0 list-none space-y-1 p-0">
          {drawn.points.map((point, i) => (
            <li
              key={i}
              className="grid grid-cols-[1.2rem_1fr_1fr_auto] items-start gap-x-2 gap-y-1 border-b border-line pb-1"
            >
              <span className="pt-2 font-bold">{i + 1}</span>
              <FormulaField
                label={`${drawn.mirrored ? 'From the middle' : 'From the left'}, point ${i + 1}`}
                place={`${place}.points.${i}.across`}
                value={point.across}
                onType={(across) => change(i, { across })}
              />
              <FormulaField
                label={`Down, point ${i + 1}`}
                place={`${place}.points.${i}.down`}
                value={point.down}
                onType={(down) => change(i, { down })}
              />
              <span className="flex gap-1 pt-6">
                <RowButton label={`Add a point after ${i + 1}`} onPress={() => add(i)}>
                  +
                </RowButton>
                <RowButton
                  label={`Take point ${i + 1} away`}
                  onPress={() => onChange({ points: without(drawn.points, i) })}
                >
                  ×
                </RowButton>
              </span>
              <span />
              <Choice
                label={`Reached along, point ${i + 1}`}
                hideLabel
                value={point.curved ? 'curve' : 'straight'}
                options={REACHED}
                onChoose={(way) => change(i, { curved: way === 'curve' })}
              />
              <Choice
                label={`Edge that leads to point ${i + 1}`}
                hideLabel
                value={point.side}
                options={EDGES}
                onChoose={(side) => change(i, { side })}
              />
              <Tick label="Corner" checked={point.corner} onTick={(corner) => change(i, { corner })} />
            </li>
          ))}
        </ol>
      </section>
    </div>
  );
}

const REACHED = { straight: 'reached straight', curve: 'reached in a curve' };

/** The piece with its points, each of which can be pulled, or moved step by step with the arrow keys. */
function Board({
  drawing,
  handles,
  step,
  onMove,
}: {
  drawing: Drawing;
  handles: Handle[];
  step: number;
  onMove: (index: number, x: number, y: number) => void;
}) {
  const svg = useRef<SVGSVGElement>(null);
  // A point that was let go stays where it was let go until the server has said where that is.
  const [pulled, setPulled] = useState<{ index: number; x: number; y: number; letGo?: Handle[] }>();
  const isPulled = pulled !== undefined && pulled.letGo === undefined;
  const scale = Math.min((WIDE - 2 * PAD) / drawing.width, (HIGH - 2 * PAD) / drawing.height);
  const w = drawing.width * scale + 2 * PAD;
  const h = drawing.height * scale + 2 * PAD;
  const at = (event: PointerEvent) => {
    const box = svg.current?.getBoundingClientRect();
    return box
      ? {
          x: ((event.clientX - box.left) * (w / box.width) - PAD) / scale,
          y: ((event.clientY - box.top) * (h / box.height) - PAD) / scale,
        }
      : { x: 0, y: 0 };
  };
  const key = (event: KeyboardEvent, index: number, { x, y }: Handle) => {
    const far = event.shiftKey ? 8 * step : step;
    const [dx, dy] = ARROWS[event.key] ?? [];
    if (dx === undefined || dy === undefined) return;
    event.preventDefault();
    onMove(index, x + dx * far, y + dy * far);
  };
  const thin = { vectorEffect: 'non-scaling-stroke' as const, fill: 'none', stroke: INK };
  return (
    <svg
      ref={svg}
      width={w}
      height={h}
      viewBox={`${-PAD} ${-PAD} ${w} ${h}`}
      className="block max-w-full touch-none overflow-visible"
      role="group"
      aria-label="The outline with its points"
      onPointerMove={(event) => isPulled && setPulled({ index: pulled.index, ...at(event) })}
      onPointerUp={(event) => {
        if (!isPulled) return;
        const to = at(event);
        const from = handles[pulled.index];
        const hasMoved = from && Math.hypot(to.x - from.x, to.y - from.y) > step / 2;
        setPulled(hasMoved ? { index: pulled.index, ...to, letGo: handles } : undefined);
        if (hasMoved) onMove(pulled.index, to.x, to.y);
      }}
      onPointerCancel={() => setPulled(undefined)}
    >
      <rect
        width={drawing.width * scale}
        height={drawing.height * scale}
        fill="none"
        stroke={INK}
        strokeOpacity=".35"
        strokeDasharray="2 4"
      />
      <g transform={`scale(${scale})`}>
        <path d={drawing.outline} {...thin} fill="#eef2f2" strokeWidth="1.8" />
        {drawing.seams && <path d={drawing.seams} {...thin} strokeDasharray="5 3" />}
      </g>
      {handles.map((handle, i) => {
        const isHeld = pulled?.index === i && (isPulled || pulled.letGo === handles);
        const here = isHeld ? pulled : handle;
        return (
          <g
            key={i}
            transform={`translate(${here.x * scale} ${here.y * scale})`}
            tabIndex={0}
            role="button"
            aria-label={`Point ${i + 1}: pull it, or move it with the arrow keys`}
            className="cursor-grab focus-visible:outline-none [&:focus-visible>circle]:stroke-madder"
            onPointerDown={(event) => {
              event.currentTarget.ownerSVGElement?.setPointerCapture(event.pointerId);
              setPulled({ index: i, ...at(event) });
            }}
            onKeyDown={(event) => key(event, i, handle)}
          >
            <circle r="14" fill="transparent" stroke="none" />
            <circle r="6.5" fill="#fff" stroke={BLUE} strokeWidth="2.5" />
            <text x="9" y="-8" fontSize="13" fontWeight="700" fill={INK}>
              {i + 1}
            </text>
          </g>
        );
      })}
    </svg>
  );
}

const ARROWS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
