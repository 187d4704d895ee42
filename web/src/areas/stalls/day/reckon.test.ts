import { describe, expect, it } from 'vitest';
import { entryOf } from './entry';
import { money } from '../../../ui/fixtures.test.helper';
import { stallOf } from '../stalls.test.helper';
import { handedOver, read, reckon, toBreakEven, written, type Entry } from './reckon';

const STYLE = { decimals: 2, mark: '.' };
const stall = stallOf;

const sold = (kind: string, paid: number, more: Partial<Entry> = {}) =>
  entryOf('SOLD', { bags: [{ kind, units: 1, priceMinor: paid }], tender: 'CASH', paidMinor: paid, ...more });

describe('what a stall shows without the server', () => {
  it('counts what was touched since', () => {
    const tally = reckon(stall(), [sold('Wren', 1250), sold('Owl', 2500, { tender: 'CARD' })]);
    expect(tally).toMatchObject({ cash: 1250, card: 2500, sales: 2, bags: 2 });
    expect(tally.tiles.get('Wren')).toEqual({ left: 4, promised: 0, sold: 1 });
    // 6.00 of the wren; of the owl 3.00 less than usual.
    expect(tally.earned).toBe(600 + 900 - 300);
  });

  it('takes back what was undone, whether the server knows it or not', () => {
    const own = sold('Wren', 1250);
    const undone = [entryOf('UNDONE', { ofEntry: own.id }), entryOf('UNDONE', { ofEntry: own.id })];
    expect(reckon(stall(), [own, ...undone])).toMatchObject({
      cash: 0,
      sales: 0,
      bags: 0,
      earned: 0,
    });
    const known = stall({
      takings: {
        cash: money(1250),
        card: money(0),
        other: money(0),
        together: money(1250),
        sales: 1,
        bags: 1,
      },
      earnedMinor: 600,
      sales: [
        {
          id: 'before',
          at: '2026-05-09T10:00:00Z',
          tender: 'CASH',
          words: 'Wren',
          bags: [{ kind: 'Wren', units: 1 }],
          paid: money(1250),
          takenBack: false,
        },
      ],
    });
    const tally = reckon(known, [entryOf('UNDONE', { ofEntry: 'before' })]);
    expect(tally).toMatchObject({ cash: 0, sales: 0, earned: 0 });
    expect(tally.tiles.get('Wren')?.left).toBe(6);
  });

  it('keeps what is put aside, and gives it back', () => {
    const aside = entryOf('PROMISED', { bags: [{ kind: 'Owl', units: 1, priceMinor: 2800 }] });
    expect(reckon(stall(), [aside]).tiles.get('Owl')).toEqual({ left: 1, promised: 1, sold: 0 });
    const kept = sold('Owl', 2800, { ofEntry: aside.id });
    expect(reckon(stall(), [aside, kept]).tiles.get('Owl')).toEqual({ left: 1, promised: 0, sold: 1 });
    const undone = entryOf('UNDONE', { ofEntry: kept.id });
    expect(reckon(stall(), [aside, kept, undone]).tiles.get('Owl')).toEqual({
      left: 1,
      promised: 1,
      sold: 0,
    });
    const released = entryOf('RELEASED', { ofEntry: aside.id });
    expect(reckon(stall(), [aside, released]).tiles.get('Owl')).toEqual({ left: 2, promised: 0, sold: 0 });
  });

  it('lets what is given away go without money', () => {
    const tally = reckon(stall(), [
      entryOf('BROKEN', { bags: [{ kind: 'Wren', units: 1, priceMinor: 1250 }] }),
    ]);
    expect(tally.tiles.get('Wren')?.left).toBe(4);
    expect(tally.cash + tally.sales).toBe(0);
  });

  it('counts a price that was put right once', () => {
    const wren = sold('Wren', 1250);
    const together = reckon(stall(), [
      wren,
      sold('Owl', 2800),
      sold('Wren', 1000),
      entryOf('UNDONE', { ofEntry: wren.id }),
    ]);
    expect(together).toMatchObject({ cash: 3800, sales: 2, bags: 2 });
    expect(together.tiles.get('Wren')?.left).toBe(4);
  });
});

describe('how far it is to break even', () => {
  it('counts bags that are left as they usually leave', () => {
    expect(toBreakEven(stall(), reckon(stall(), []))).toBe(5);
    expect(toBreakEven(stall({ earnedMinor: 3000 }), reckon(stall({ earnedMinor: 3000 }), []))).toBe(0);
  });

  it('says so where all that is here is not enough', () => {
    const dear = stall({ costsMinor: 90_000 });
    expect(toBreakEven(dear, reckon(dear, []))).toBeUndefined();
    const nothing = stall({ usualLeavesMinor: 0 });
    expect(toBreakEven(nothing, reckon(nothing, []))).toBeUndefined();
  });
});

describe('money at the stall', () => {
  it('is written and read with the maker’s mark', () => {
    expect(written(1250, STYLE)).toBe('12.50');
    expect(written(-5, STYLE)).toBe('−0.05');
    expect(written(1200, { decimals: 0, mark: ',' })).toBe('1200');
    expect(read('12,5', STYLE)).toBe(1250);
    expect(read(' 12 ', STYLE)).toBe(1200);
    expect(read('12.505', STYLE)).toBeUndefined();
    expect(read('twelve', STYLE)).toBeUndefined();
    expect(read('', STYLE)).toBeUndefined();
  });

  it('proposes what buyers hand over', () => {
    expect(handedOver(1250, stall().handed)).toEqual([1500, 2000, 5000]);
    expect(handedOver(2000, stall().handed)).toEqual([5000]);
  });
});
