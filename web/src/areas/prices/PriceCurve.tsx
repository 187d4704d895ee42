import { useRef } from 'react';
import { scale, ticks } from '../../ui/scale';
import { coins, marks, nearest, type Mark, type Point, type Sheet } from './curve';

const WIDE = 720;
const HIGH = 380;
const LEFT = 52;
const RIGHT = WIDE - 14;
const TOP = 18;
const TAPE = HIGH - 46;

/** So high stands what was sold most. */
const SOLD_HIGH = 90;

const DASHES: Record<Mark['look'], string | undefined> = {
  even: '2 4',
  least: '8 4',
  wanted: '14 4 2 4',
  own: undefined,
  seen: undefined,
};

/** The price along a measuring tape, what is left for an hour above it; the price that is looked at can be dragged, or moved by keys. */
export function PriceCurve({
  sheet,
  at,
  onMove,
}: {
  sheet: Sheet;
  /** Which point of the curve is looked at. */
  at: number;
  onMove: (to: number) => void;
}) {
  const drawing = useRef<SVGSVGElement>(null);
  const curve = sheet.curve;
  const looked = curve[at] as Point;
  const coin = coins(sheet.wanted);
  const last = curve[curve.length - 1] as Point;
  const hours = curve.map((point) => point.perHour?.minor ?? 0);
  const least = Math.min(...hours);
  const lowest = Math.max(least, -sheet.wanted.minor * 2);
  const highest = Math.max(...hours, sheet.wanted.minor * 1.25);
  const x = scale(0, last.price.minor, LEFT, RIGHT);
  const y = scale(lowest, highest, TAPE - 12, TOP);
  const line = curve
    .map((point, i) => `${i ? 'L' : 'M'}${x.at(point.price.minor)} ${y.at(point.perHour?.minor ?? 0)}`)
    .join('');
  const move = (event: React.PointerEvent) => {
    const box = drawing.current?.getBoundingClientRect();
    if (!box) return;
    onMove(nearest(curve, x.back(((event.clientX - box.left) / box.width) * WIDE)));
  };
  const known = marks(sheet);
  const mostSold = Math.max(1, ...sheet.sold.map((one) => one.units));
  return (
    <svg
      ref={drawing}
      viewBox={`0 0 ${WIDE} ${HIGH}`}
      className="block w-full touch-none select-none"
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        move(event);
      }}
      onPointerMove={(event) => event.buttons > 0 && move(event)}
    >
      <title>What is left for an hour at each price</title>
      <clipPath id="curve-inside">
        <rect x={LEFT} y={TOP - 10} width={RIGHT - LEFT} height={TAPE - TOP} />
      </clipPath>
      {ticks(lowest, highest, 6).map((hour) => (
        <g key={hour}>
          <path
            d={`M${LEFT} ${y.at(hour)}H${RIGHT}`}
            stroke={hour === 0 ? 'var(--color-ink)' : 'var(--color-line-faint)'}
            strokeWidth="1"
          />
          <text x={LEFT - 8} y={y.at(hour) + 4} textAnchor="end" fontSize="12.5" fill="var(--color-soft)">
            {hour / coin}
          </text>
        </g>
      ))}
      <text x={LEFT} y={11} fontSize="12.5" fill="var(--color-soft)">
        left for an hour
      </text>
      <g clipPath="url(#curve-inside)">
        <path d={line} fill="none" stroke="var(--color-woad)" strokeWidth="2.5" />
      </g>
      <rect
        x={LEFT}
        y={TAPE}
        width={RIGHT - LEFT}
        height={30}
        fill="var(--color-tape)"
        stroke="var(--color-tape-edge)"
      />
      {ticks(0, last.price.minor, 60).map((price) => (
        <path key={price} d={`M${x.at(price)} ${TAPE}v6`} stroke="var(--color-ink)" strokeWidth=".8" />
      ))}
      {ticks(0, last.price.minor, 12).map((price) => (
        <g key={price}>
          <path d={`M${x.at(price)} ${TAPE}v12`} stroke="var(--color-ink)" strokeWidth="1.2" />
          <text x={x.at(price)} y={TAPE + 26} textAnchor="middle" fontSize="12.5">
            {price / coin}
          </text>
        </g>
      ))}
      {known.map((mark, i) => (
        <Marked
          key={i}
          mark={mark}
          x={x.at(mark.minor)}
          row={known.slice(0, i).filter((one) => one.look !== 'seen').length}
        />
      ))}
      {sheet.sold.map((one) => (
        <Sold key={one.price.minor} sold={one} x={x.at(one.price.minor)} most={mostSold} />
      ))}
      <g
        role="slider"
        tabIndex={0}
        aria-label="Price"
        aria-valuemin={0}
        aria-valuemax={last.price.minor / coin}
        aria-valuenow={looked.price.minor / coin}
        aria-valuetext={`${looked.price.amount}, ${looked.perHour ? `${looked.perHour.amount} for an hour` : `${looked.left.amount} left`}`}
        className="cursor-ew-resize focus-visible:outline-3 focus-visible:outline-woad"
        onKeyDown={(event) => {
          const steps: Record<string, number> = {
            ArrowRight: 1,
            ArrowUp: 1,
            ArrowLeft: -1,
            ArrowDown: -1,
            PageUp: 10,
            PageDown: -10,
            Home: -curve.length,
            End: curve.length,
          };
          const step = steps[event.key];
          if (!step) return;
          event.preventDefault();
          onMove(Math.max(0, Math.min(curve.length - 1, at + step)));
        }}
      >
        <path
          d={`M${x.at(looked.price.minor)} ${TOP - 8}V${TAPE}`}
          stroke="var(--color-ink)"
          strokeWidth="2"
        />
        <circle
          cx={x.at(looked.price.minor)}
          cy={Math.max(TOP - 8, Math.min(TAPE - 12, y.at(looked.perHour?.minor ?? 0)))}
          r="7"
          fill="var(--color-yellow)"
          stroke="var(--color-ink)"
          strokeWidth="2"
        />
        <path
          d={`M${x.at(looked.price.minor) - 11} ${HIGH - 4}L${x.at(looked.price.minor)} ${TAPE + 20}l11 22z`}
          fill="var(--color-ink)"
        />
      </g>
    </svg>
  );
}

/** How many were sold at a price: a stack of stitches on the tape, as high as they are many. */
function Sold({ sold, x, most }: { sold: Sheet['sold'][number]; x: number; most: number }) {
  const high = 4 + (SOLD_HIGH - 4) * (sold.units / most);
  return (
    <path
      d={`M${x} ${TAPE}v${-high}`}
      stroke="var(--color-moss)"
      strokeWidth="7"
      strokeDasharray="3 1.5"
      opacity="0.8"
    >
      <title>
        {sold.units} sold at {sold.price.amount}
      </title>
    </path>
  );
}

/** A price that means something: a dashed line with its name; one that was seen elsewhere is a notch in the tape. */
function Marked({ mark, x, row }: { mark: Mark; x: number; row: number }) {
  if (mark.look === 'seen') {
    return (
      <path d={`M${x - 5} ${TAPE - 9}h10l-5 9z`} fill="#fff" stroke="var(--color-madder)" strokeWidth="1.6">
        <title>seen: {mark.names.join(', ')}</title>
      </path>
    );
  }
  const isRight = x > WIDE * 0.72;
  return (
    <g>
      <path
        d={`M${x} ${TOP + 6}V${TAPE}`}
        stroke={mark.look === 'own' ? 'var(--color-moss)' : 'var(--color-soft)'}
        strokeWidth={mark.look === 'own' ? 2 : 1.4}
        strokeDasharray={DASHES[mark.look]}
      />
      <text
        x={x + (isRight ? -5 : 5)}
        y={TOP + 18 + row * 17}
        textAnchor={isRight ? 'end' : 'start'}
        fontSize="12.5"
        fontWeight="600"
        stroke="#fff"
        strokeWidth="4"
        paintOrder="stroke"
      >
        {mark.names.join(', ')} {mark.amount}
      </text>
    </g>
  );
}
