import type { Schemas } from '../../api/client';
import { money } from '../../ui/fixtures.test.helper';
import type { StallView } from './day/reckon';

/** A kind of bag on a stall's table. */
export const tileOf = (key: string, price: number, left: number, leaves: number): Schemas['TileView'] => ({
  bag: { key, design: key, size: 'small', cloth: 'Reed Stripe', quality: 'GOOD' },
  price: money(price),
  left,
  promised: 0,
  sold: 0,
  leavesMinor: leaves,
});

/** A stall with wrens at 12.50 and owls at 28.00 on its table, to which going cost 30.00. */
export const stallOf = (more: Partial<StallView> = {}): StallView => ({
  fairId: 1,
  fair: 'Mill yard',
  heldOn: '2026-05-09',
  settled: false,
  tiles: [tileOf('Wren', 1250, 5, 600), tileOf('Owl', 2800, 2, 900)],
  takings: { cash: money(0), card: money(0), other: money(0), together: money(0), sales: 0, bags: 0 },
  earnedMinor: 0,
  costsMinor: 3000,
  usualLeavesMinor: 700,
  handed: [5000, 2000, 1000, 500, 200, 100],
  money: { decimals: 2, mark: '.' },
  sales: [],
  promises: [],
  questions: [],
  refused: [],
  ...more,
});
