import type { Schemas } from '../../api/client';

/** Why bags came or went, in words. */
export const GOODS_KINDS: Record<Schemas['GoodsForm']['kind'], string> = {
  MADE: 'made',
  MOVED: 'moved',
  GIVEN_AWAY: 'given away',
  SAMPLE: 'kept as a sample',
  WRITTEN_OFF: 'written off',
  COUNTED: 'counted',
  ENTERED: 'entered from a list',
  SOLD: 'sold',
  TAKEN_BACK: 'sale taken back',
  STOLEN: 'stolen',
  BECAME_SECONDS: 'found to be seconds',
};

/** How old something is, as one would say it. */
export function age(days: number) {
  if (days < 1) return 'today';
  if (days < 14) return days === 1 ? 'yesterday' : `${days} days ago`;
  if (days < 92) return `${Math.round(days / 7)} weeks ago`;
  return `${Math.round(days / 30.4)} months ago`;
}
