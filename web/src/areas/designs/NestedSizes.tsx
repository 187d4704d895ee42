import type { Schemas } from '../../api/client';
import { sides, useUnits } from '../../ui/units';

type SizeSheet = Schemas['SizeSheet'];

/** How the lines of the sizes are told apart, from the smallest on, also in black and white. */
const DASHES = ['none', '7 3', '2 3', '8 3 2 3', '12 4', '4 4'];

/** Every piece in all its sizes, one within the other on the middle of their base, and all to one scale. */
export function NestedSizes({ sizes, width, height }: { sizes: SizeSheet[]; width: number; height: number }) {
  const units = useUnits();
  const letters = [...new Set(sizes.flatMap((size) => size.pieces.map(({ letter }) => letter)))];
  const nests = letters.map((letter) => {
    const drawn = sizes.flatMap((size, place) => {
      const piece = size.pieces.find((one) => one.letter === letter);
      return piece ? [{ size: size.size, place, piece }] : [];
    });
    return {
      letter,
      drawn,
      across: Math.max(...drawn.map(({ piece }) => piece.drawing.width)),
      up: Math.max(...drawn.map(({ piece }) => piece.drawing.height)),
    };
  });
  const all = nests.reduce((sum, { across }) => sum + across, 0);
  const tallest = Math.max(1, ...nests.map(({ up }) => up));
  const scale = Math.min(2, (width - 30 * nests.length) / Math.max(1, all), height / tallest);
  return (
    <div>
      <ul className="flex flex-wrap items-end gap-6" aria-label="All sizes, nested">
        {nests.map(({ letter, drawn, across, up }) => (
          <li key={letter} className="text-center">
            <svg
              width={across * scale + 4}
              height={up * scale + 4}
              className="mx-auto block"
              role="img"
              aria-label={`${letter}: ${drawn
                .map(
                  ({ size, piece }) =>
                    `${size} ${sides(units.own(piece.width.value), units.own(piece.height.value))}`,
                )
                .join(', ')}`}
            >
              <g transform="translate(2 2)" fill="none" stroke="#14242d">
                {drawn.map(({ size, place, piece }) => (
                  <path
                    key={size}
                    d={piece.drawing.outline}
                    transform={`translate(${((across - piece.drawing.width) / 2) * scale} ${
                      (up - piece.drawing.height) * scale
                    }) scale(${scale})`}
                    strokeWidth={1.3 / scale}
                    strokeDasharray={scaled(DASHES[place % DASHES.length] ?? 'none', scale)}
                  />
                ))}
              </g>
            </svg>
            <b>{letter}</b>
          </li>
        ))}
      </ul>
      <ul className="mt-2 flex flex-wrap gap-x-5 text-[14px]" aria-label="Lines of the sizes">
        {sizes.map(({ size }, place) => (
          <li key={size} className="flex items-center gap-2">
            <svg width="40" height="6" aria-hidden>
              <path
                d="M0 3H40"
                stroke="#14242d"
                strokeWidth="1.6"
                strokeDasharray={DASHES[place % DASHES.length]}
              />
            </svg>
            {size}
          </li>
        ))}
      </ul>
    </div>
  );
}

/** Dashes are as long on the screen whatever the scale. */
const scaled = (dashes: string, scale: number) =>
  dashes === 'none'
    ? dashes
    : dashes
        .split(' ')
        .map((length) => Number(length) / scale)
        .join(' ');
