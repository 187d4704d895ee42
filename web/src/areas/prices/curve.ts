import type { Schemas } from '../../api/client';

export type Point = Schemas['CurvePoint'];
type Money = Schemas['MoneyView'];
export type Sheet = Schemas['PriceSheetView'];

/** The point of the curve at a price, or the nearest there is. */
export function nearest(curve: Point[], minor: number): number {
  let best = 0;
  curve.forEach((point, i) => {
    const closer = Math.abs(point.price.minor - minor) < Math.abs((curve[best] as Point).price.minor - minor);
    if (closer) best = i;
  });
  return best;
}

/** A price that means something, with how it is marked; where two fall together they share a mark. */
export interface Mark {
  minor: number;
  amount: string;
  names: string[];
  look: 'even' | 'least' | 'wanted' | 'own' | 'seen';
}

/** Two that lie nearer to each other than this part of the tape are one mark. */
const AS_ONE = 1 / 150;

export function marks(sheet: Sheet): Mark[] {
  const span = sheet.curve.at(-1)?.price.minor ?? 0;
  const all: Mark[] = [];
  const add = (look: Mark['look'], name: string, money: Money | undefined) => {
    if (!money) return;
    const { minor, amount } = money;
    const same = all.find(
      (one) => Math.abs(one.minor - minor) <= span * AS_ONE && one.look !== 'seen' && look !== 'seen',
    );
    if (same) same.names.push(name);
    else all.push({ minor, amount, names: [name], look });
  };
  add('even', 'nothing lost', sheet.breakEven);
  add('least', 'your least', sheet.atLeast);
  add('wanted', 'worth it', sheet.atWanted);
  add('own', 'set', sheet.own);
  sheet.seen.forEach((one) => add('seen', `${one.what}, ${one.where}`, one.price));
  return all;
}

/** How many coins one of the currency has, as its amounts are written: 100 for 12.50, 1 for 1250. */
export const coins = ({ amount }: Money) => 10 ** (/[.,](\d+)$/.exec(amount)?.[1]?.length ?? 0);
