import type { Schemas } from '../../api/client';
import { amount, length, money } from '../../ui/fixtures.test.helper';

export const facts: Schemas['FactsForm'] = {
  fullWidth: '',
  selvage: '',
  fibre: '',
  nap: false,
  shrinksAfterCutting: false,
  repeat: '',
  shrinkage: '',
  layersAtOnce: '',
  needle: '',
  care: '',
  print: 'DOTS',
  oneDyeLot: false,
  twoPart: false,
  zipLength: '',
  zipMetal: false,
  usePerHour: '',
  target: '',
  place: 'shelf A',
};

/** A cloth of which three yards are left, one of them held. */
export const cloth = (more: Partial<Schemas['MaterialView']> = {}): Schemas['MaterialView'] => ({
  id: 7,
  version: 3,
  kind: 'CLOTH',
  name: 'Juniper Dot',
  note: 'Printed cotton',
  colour: '#336655',
  usableWidth: length('43 in', '109 cm'),
  directional: true,
  price: money(1120),
  pricePer: amount('1 yd', 1),
  onHand: amount('3 yd', 3, length('3 yd', '2.74 m')),
  held: amount('1 yd', 1, length('1 yd', '0.91 m')),
  free: amount('2 yd', 2, length('2 yd', '1.83 m')),
  parts: [],
  putAway: false,
  pieces: 2,
  low: false,
  facts,
  ...more,
});

export const notion = (more: Partial<Schemas['MaterialView']> = {}): Schemas['MaterialView'] =>
  cloth({
    id: 8,
    kind: 'NOTION',
    name: 'Snap',
    usableWidth: undefined,
    onHand: { ...amount('14', 14), count: 14 },
    held: { ...amount('0', 0), count: 0 },
    free: { ...amount('14', 14), count: 14 },
    pieces: 0,
    ...more,
  });

export const lot = (more: Partial<Schemas['LotView']> = {}): Schemas['LotView'] => ({
  id: 31,
  version: 0,
  part: 'WHOLE',
  origin: 'BOUGHT',
  cameAt: '2026-10-06T12:00:00Z',
  cameFrom: 'Harbour cloths',
  soldAs: '4 × 1/2 yd',
  quantity: amount('2 yd', 2, length('2 yd', '1.83 m')),
  left: amount('1 yd', 1, length('1 yd', '0.91 m')),
  held: amount('0 in', 0, length('0 in', '0 cm')),
  worth: money(2223),
  extra: money(223),
  dyeLot: '0412',
  place: 'shelf A',
  isOld: false,
  ...more,
});

export const page = <T>(items: T[]) => ({ items, page: 0, size: 60, total: items.length });
