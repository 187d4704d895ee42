import type { Schemas } from '../api/client';
import { WorkedFigure } from './WorkedFigure';
import { useUnits } from './units';

/** The finished bag from the front and from the side, with what it measures. */
export function BagOutline({ finished }: { finished: Schemas['FinishedView'] }) {
  const units = useUnits();
  const { widthMm: w, heightMm: h, depthMm: d } = finished;
  const room = { across: 140, up: 84 };
  const scale = Math.min(room.across / (w + 2 * d), room.up / h);
  const front = { x: 6, w: (w + d) * scale, base: w * scale, h: h * scale };
  const side = { x: front.x + front.w + 22, w: Math.max(3, d * scale) };
  const inset = (front.w - front.base) / 2;
  return (
    <div>
      <svg
        viewBox={`0 0 ${side.x + side.w + 6} ${room.up + 6}`}
        style={{ maxHeight: 104 }}
        className="mx-auto block"
        role="img"
        aria-label={`Finished: ${units.own(finished.width.value)} wide at the base, ${units.own(finished.height.value)} high, ${units.own(finished.depth.value)} deep`}
      >
        <g transform={`translate(0,${room.up - front.h + 2})`} stroke="#14242d" fill="#fff" strokeWidth="1.4">
          <path
            d={`M${front.x} 0H${front.x + front.w}L${front.x + front.w - inset} ${front.h}H${front.x + inset}Z`}
          />
          <path d={`M${front.x} 0H${front.x + front.w}`} strokeWidth="3.5" strokeDasharray="2 1.5" />
          <path d={`M${side.x + side.w / 2} 0L${side.x + side.w} ${front.h}H${side.x}Z`} />
        </g>
      </svg>
      <div className="mt-1 text-center text-[13px] text-soft">finished, front and side</div>
      <dl className="mt-1 grid grid-cols-[auto_1fr_auto] gap-x-3 gap-y-0.5">
        {(
          [
            ['Base', finished.width],
            ['Height', finished.height],
            ['Depth', finished.depth],
          ] as const
        ).map(([name, figure]) => (
          <div key={name} className="contents">
            <dt className="text-soft">{name}</dt>
            <dd className="whitespace-nowrap">
              <WorkedFigure label={name} working={figure.working}>
                {units.own(figure.value)}
              </WorkedFigure>
            </dd>
            <dd className="text-right whitespace-nowrap text-soft">{units.other(figure.value)}</dd>
          </div>
        ))}
      </dl>
    </div>
  );
}
