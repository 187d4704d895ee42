import type { Schemas } from '../api/client';
import { hatch } from './Hatches';

type Seam = Schemas['SeamView'];

/** What is sewn in a step: each piece with the edges that are sewn lit up, and what stays open. */
export function SeamPicture({ seam, width, height }: { seam: Seam; width: number; height: number }) {
  const across = seam.layers.reduce((sum, layer) => sum + layer.width, 0);
  const tallest = Math.max(1, ...seam.layers.map((layer) => layer.height));
  const scale = Math.min(
    (width - 18 * seam.layers.length) / Math.max(1, across),
    (height - 24) / tallest,
    1.6,
  );
  const open = seam.layers.some((layer) => layer.open);
  return (
    <figure aria-label="What is sewn">
      {seam.lies.length > 0 && <p className="mb-1 font-semibold">{seam.lies.join(', ')}</p>}
      <ul className="flex flex-wrap items-end gap-4">
        {seam.layers.map((layer) => (
          <li key={layer.letter} className="text-center text-[13px]">
            <svg
              width={layer.width * scale + 8}
              height={layer.height * scale + 8}
              className="mx-auto block"
              role="img"
              aria-label={`${layer.letter} ${layer.name}`}
            >
              <g transform={`translate(4 4) scale(${scale})`} strokeLinejoin="round" strokeLinecap="round">
                <path d={layer.outline} fill="#fff" />
                <path
                  d={layer.outline}
                  fill={hatch(layer.role)}
                  fillOpacity=".55"
                  stroke="#14242d"
                  strokeWidth={1.1 / scale}
                />
                <path
                  d={layer.sewn}
                  fill="none"
                  stroke="#a8322d"
                  strokeWidth={3 / scale}
                  strokeDasharray={`${7 / scale} ${4 / scale}`}
                />
                {layer.open && (
                  <path
                    d={layer.open}
                    fill="none"
                    stroke="#fff"
                    strokeWidth={7 / scale}
                    strokeLinecap="butt"
                  />
                )}
                {layer.open && (
                  <path
                    d={layer.open}
                    fill="none"
                    stroke="#14242d"
                    strokeWidth={1.2 / scale}
                    strokeDasharray={`${1.5 / scale} ${3 / scale}`}
                  />
                )}
              </g>
            </svg>
            <b>{layer.letter}</b> {layer.name}
            {layer.layers > 1 && ` × ${layer.layers}`}
          </li>
        ))}
      </ul>
      <figcaption className="mt-1 text-[13px] text-soft">
        Sewn along the red stitches{open ? '; the gap stays open.' : '.'}
      </figcaption>
    </figure>
  );
}
