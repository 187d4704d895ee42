import type { Schemas } from '../api/client';
import { WorkedFigure } from './WorkedFigure';
import { useUnits } from './units';

type Finished = Schemas['FinishedView'];

const ROOM = { across: 150, up: 84 };

/** The finished bag from the front and from the side, with what it measures. */
export function BagOutline({ finished }: { finished: Finished }) {
  const units = useUnits();
  const { widthMm: w, heightMm: h, depthMm: d, acrossMm: top } = finished;
  const flat = d <= 0;
  const scale = Math.min((ROOM.across - (flat ? 0 : 22)) / (Math.max(w, top) + d), ROOM.up / h);
  const front = { x: 6, top: top * scale, base: w * scale, h: h * scale };
  const across = Math.max(front.top, front.base);
  const side = { x: front.x + across + 22, w: d * scale };
  const label = finished.measures
    .map((measure) => `${measure.label} ${units.own(measure.figure.value)}`)
    .join(', ');
  return (
    <div>
      <svg
        viewBox={`0 0 ${flat ? front.x + across + 6 : side.x + side.w + 6} ${ROOM.up + 6}`}
        style={{ maxHeight: 104 }}
        className="mx-auto block"
        role="img"
        aria-label={`Finished: ${label}`}
      >
        <g transform={`translate(0,${ROOM.up - front.h + 2})`} stroke="#14242d" fill="#fff" strokeWidth="1.4">
          <path d={frontOf(finished.kind, front.x, front.top, front.base, front.h)} />
          {!flat && <path d={sideOf(finished.kind, side.x, side.w, front.h)} />}
        </g>
      </svg>
      <div className="mt-1 text-center text-[13px] text-soft">
        {flat ? 'finished' : 'finished, front and side'}
      </div>
      <dl className="mt-1 grid grid-cols-[auto_1fr_auto] gap-x-3 gap-y-0.5">
        {finished.measures.map(({ label: name, figure }) => (
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

function frontOf(kind: Finished['kind'], x: number, top: number, base: number, h: number) {
  const across = Math.max(top, base);
  if (kind === 'ROUND') {
    const bow = Math.min(10, h / 6);
    return `M${x} 0H${x + across}V${h - bow}Q${x + across / 2} ${h + bow} ${x} ${h - bow}Z`;
  }
  if (kind === 'GUSSETED') {
    const r = Math.min(across, h) / 5;
    return `M${x} 0H${x + across}V${h - r}Q${x + across} ${h} ${x + across - r} ${h}H${x + r}Q${x} ${h} ${x} ${h - r}Z`;
  }
  const inTop = (across - top) / 2;
  const inBase = (across - base) / 2;
  return `M${x + inTop} 0H${x + inTop + top}L${x + inBase + base} ${h}H${x + inBase}Z`;
}

function sideOf(kind: Finished['kind'], x: number, w: number, h: number) {
  if (kind === 'GUSSETED' || kind === 'ROUND') return `M${x} 0H${x + w}V${h}H${x}Z`;
  if (kind === 'FOLDED_SIDES') return `M${x + w / 2} 0L${x + w} ${h / 2}L${x + w / 2} ${h}L${x} ${h / 2}Z`;
  return `M${x + w / 2} 0L${x + w} ${h}H${x}Z`;
}
