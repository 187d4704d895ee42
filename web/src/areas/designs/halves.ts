import type { Schemas } from '../../api/client';
import { typedNear } from './steps';

type Drawn = Schemas['DrawnRow'];
type DrawnPoint = Schemas['DrawnPoint'];
type Handle = Schemas['HandleView'];

const OPPOSITE: Record<DrawnPoint['side'], DrawnPoint['side']> = {
  LEFT: 'RIGHT',
  RIGHT: 'LEFT',
  TOP: 'TOP',
  BOTTOM: 'BOTTOM',
};

/** All of an outline of which the right half was drawn: each point, and its mirror image on the way back. */
export function wholeOf({ points, line, ...rest }: Drawn): Drawn {
  const from = line === 'CUT' ? 'piece_width / 2' : '';
  const isInTheMiddle = (point: DrawnPoint) => /^0([.,]0*)?\s*(in|cm|mm)?$/.test(point.across.trim());
  const right = points.map((point) => ({ ...point, across: `${from} + (${point.across})`.trim() }));
  const left = points
    .map((point, i): DrawnPoint => {
      const next = points[i + 1];
      return {
        ...point,
        across: `${from} - (${point.across})`.trim(),
        curved: next?.curved ?? false,
        side: next ? OPPOSITE[next.side] : 'BOTTOM',
      };
    })
    .reverse();
  const lasts = points.map(isInTheMiddle).reverse();
  return {
    ...rest,
    line,
    mirrored: false,
    // A point in the middle is its own mirror image.
    points: [...right, ...left.filter((_, i) => !lasts[i])].map((point) => ({
      ...point,
      across: point.across.replace(/^\+ \((.*)\)$/, '$1'),
    })),
  };
}

/** The right half of an outline that was drawn all round: the points that lie there. */
export function halfOf(drawn: Drawn, handles: Handle[], width: number, isInch: boolean): Drawn {
  const points = drawn.points.flatMap((point, i) => {
    const handle = handles[i];
    const far = handle ? handle.x - width / 2 : -1;
    return handle && far > -0.1 ? [{ ...point, across: typedNear(Math.max(0, far), isInch) }] : [];
  });
  return { ...drawn, mirrored: true, points };
}
