import type { Schemas } from '../api/client';
import { WorkedFigure } from './WorkedFigure';
import { useUnits } from './units';

type Sketch = Schemas['SketchView'];

/** The finished bag from the front and, if it has a depth, from the side; all bags in a list have the same room. */
export function BagSketch({ sketch, across, up }: { sketch: Sketch; across: number; up: number }) {
  const units = useUnits();
  const { widthMm: w, heightMm: h, depthMm: d, acrossMm: top } = sketch;
  const flat = d <= 0;
  const between = flat ? 0 : 14;
  const scale = Math.min((across - between - 4) / (Math.max(w, top) + d), (up - 4) / h);
  const front = { top: top * scale, base: w * scale, h: h * scale };
  const wide = Math.max(front.top, front.base);
  const label = sketch.measures.map(units.own).join(' × ');
  return (
    <svg
      width={wide + (flat ? 0 : between + d * scale) + 4}
      height={front.h + 4}
      className="mx-auto block"
      role="img"
      aria-label={`Finished: ${label}`}
    >
      <g transform="translate(2,2)" stroke="#14242d" fill="#fff" strokeWidth="1.4">
        <path d={frontOf(sketch.kind, front.top, front.base, front.h)} />
        {!flat && <path d={sideOf(sketch.kind, wide + between, d * scale, front.h)} />}
      </g>
    </svg>
  );
}

/** The finished bag with all that it measures. */
export function BagOutline({ finished }: { finished: Schemas['FinishedView'] }) {
  const units = useUnits();
  return (
    <div>
      <BagSketch sketch={finished.sketch} across={160} up={96} />
      <div className="mt-1 text-center text-[13px] text-soft">
        {finished.sketch.depthMm > 0 ? 'finished, front and side' : 'finished'}
      </div>
      <dl className="mt-1 grid grid-cols-[auto_auto_1fr] gap-x-1.5 gap-y-0.5">
        {finished.measures.map(({ label: name, figure }) => (
          <div key={name} className="contents">
            <dt className="whitespace-nowrap text-soft">{name}</dt>
            <dd className="whitespace-nowrap">
              <WorkedFigure label={name} working={figure.working}>
                {units.own(figure.value)}
              </WorkedFigure>
            </dd>
            <dd className="text-right text-[13.5px] whitespace-nowrap text-soft">
              {units.other(figure.value)}
            </dd>
          </div>
        ))}
      </dl>
    </div>
  );
}

function frontOf(kind: Sketch['kind'], top: number, base: number, h: number) {
  const across = Math.max(top, base);
  if (kind === 'ROUND') {
    const bow = Math.min(10, h / 6);
    return `M0 0H${across}V${h - bow}Q${across / 2} ${h + bow} 0 ${h - bow}Z`;
  }
  if (kind === 'GUSSETED') {
    const r = Math.min(across, h) / 5;
    return `M0 0H${across}V${h - r}Q${across} ${h} ${across - r} ${h}H${r}Q0 ${h} 0 ${h - r}Z`;
  }
  const inTop = (across - top) / 2;
  const inBase = (across - base) / 2;
  return `M${inTop} 0H${inTop + top}L${inBase + base} ${h}H${inBase}Z`;
}

function sideOf(kind: Sketch['kind'], x: number, w: number, h: number) {
  if (kind === 'GUSSETED' || kind === 'ROUND') return `M${x} 0H${x + w}V${h}H${x}Z`;
  if (kind === 'FOLDED_SIDES') return `M${x + w / 2} 0L${x + w} ${h / 2}L${x + w / 2} ${h}L${x} ${h / 2}Z`;
  return `M${x + w / 2} 0L${x + w} ${h}H${x}Z`;
}
