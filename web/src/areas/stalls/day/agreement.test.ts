import { describe, expect, it } from 'vitest';
import { money } from '../../../ui/fixtures.test.helper';
import { stallOf, tileOf } from '../stalls.test.helper';
import { entryOf } from './entry';
import { putAside, reckon, salesSoFar, type Entry, type StallView } from './reckon';

/** Numbers that are the same in every run (mulberry32). */
function seeded(seed: number) {
  let state = seed;
  return (below: number) => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) % below;
  };
}

const KINDS = [
  { key: 'Wren', price: 1250, there: 40, leaves: 600 },
  { key: 'Owl', price: 2800, there: 40, leaves: 900 },
];

/** A stall as the server has it that heard some entries: plainly, what was touched and not undone. */
function heard(entries: Entry[]): StallView {
  const undone = new Set(entries.filter(({ kind }) => kind === 'UNDONE').map(({ ofEntry }) => ofEntry));
  const standing = entries.filter(({ id, kind }) => kind !== 'UNDONE' && !undone.has(id));
  const settled = new Set(standing.map(({ ofEntry }) => ofEntry));
  const sales = standing.filter(({ kind }) => kind === 'SOLD');
  const aside = standing.filter(({ id, kind }) => kind === 'PROMISED' && !settled.has(id));
  const gone = standing.filter(({ kind }) => ['SOLD', 'GIVEN_AWAY', 'BROKEN', 'STOLEN'].includes(kind));
  const count = (some: Entry[], key: string) =>
    some.flatMap(({ bags }) => bags).reduce((sum, { kind, units }) => sum + (kind === key ? units : 0), 0);
  const paid = (tender: string) =>
    sales.reduce((sum, sale) => sum + (sale.tender === tender ? (sale.paidMinor ?? 0) : 0), 0);
  return stallOf({
    tiles: KINDS.map(({ key, price, there, leaves }) => ({
      ...tileOf(key, price, there - count(gone, key) - count(aside, key), leaves),
      promised: count(aside, key),
      sold: count(sales, key),
    })),
    takings: {
      cash: money(paid('CASH')),
      card: money(paid('CARD')),
      other: money(paid('OTHER')),
      together: money(paid('CASH') + paid('CARD') + paid('OTHER')),
      sales: sales.length,
      bags: KINDS.reduce((sum, { key }) => sum + count(sales, key), 0),
    },
    earnedMinor: sales.reduce(
      (sum, sale) =>
        sum +
        (sale.paidMinor ?? 0) -
        KINDS.reduce((cost, { key, price, leaves }) => cost + count([sale], key) * (price - leaves), 0),
      0,
    ),
    sales: entries
      .filter(({ kind }) => kind === 'SOLD')
      .reverse()
      .map(({ id, at, tender = 'CASH', bags, paidMinor = 0 }) => ({
        id,
        at,
        tender,
        words: '',
        bags: bags.map(({ kind, units }) => ({ kind, units })),
        paid: money(paidMinor),
        takenBack: undone.has(id),
      })),
    promises: aside.flatMap(({ id, bags, note }) => bags.map((bag) => ({ id, ...bag, words: '', note }))),
  });
}

/** A day as one device is touched: sales, sets, bags put aside and what became of them, losses, and all of it undone now and then. */
function day(random: (below: number) => number) {
  const touched: Entry[] = [];
  const one = <T>(some: readonly T[]) => some[random(some.length)] as T;
  const bag = () => {
    const { key, price } = one(KINDS);
    return { kind: key, units: 1 + random(2), priceMinor: price };
  };
  const free = (kinds: string[]) =>
    touched.filter(
      ({ id, kind }) =>
        kinds.includes(kind) &&
        !touched.some(
          (other) =>
            other.ofEntry === id &&
            !touched.some((undone) => undone.kind === 'UNDONE' && undone.ofEntry === other.id),
        ),
    );
  for (let i = 0; i < 3 + random(12); i++) {
    const what = random(10);
    const [promise] = free(['PROMISED']);
    const undoable = free(['SOLD', 'PROMISED', 'GIVEN_AWAY', 'BROKEN', 'STOLEN']);
    const tender = one(['CASH', 'CARD', 'OTHER'] as const);
    if (what < 4)
      touched.push(
        entryOf('SOLD', { bags: random(3) ? [bag()] : [bag(), bag()], tender, paidMinor: random(5000) }),
      );
    else if (what < 5) touched.push(entryOf('PROMISED', { bags: [bag()] }));
    else if (what < 6)
      touched.push(entryOf(one(['GIVEN_AWAY', 'BROKEN', 'STOLEN'] as const), { bags: [bag()] }));
    else if (what < 8 && promise)
      touched.push(
        random(2)
          ? entryOf('RELEASED', { ofEntry: promise.id })
          : entryOf('SOLD', { bags: promise.bags, tender, paidMinor: 999, ofEntry: promise.id }),
      );
    else if (undoable.length > 0) touched.push(entryOf('UNDONE', { ofEntry: one(undoable).id }));
  }
  return touched;
}

describe('a device that the server hears now and then', () => {
  it('shows what the server will say once it hears all, wherever the line was lost', () => {
    const random = seeded(1618);
    for (let run = 0; run < 3000; run++) {
      const touched = day(random);
      const lost = random(touched.length + 1);
      const [told, unsent] = [touched.slice(0, lost), touched.slice(lost)];
      const [now, later] = [heard(told), heard(touched)];
      const shown = reckon(now, unsent, told);
      const when = `run ${run}, lost after ${lost}`;
      for (const tile of later.tiles) {
        const { left, promised, sold } = tile;
        expect(shown.tiles.get(tile.bag.key), `${when}, ${tile.bag.key}`).toEqual({ left, promised, sold });
      }
      expect(shown, when).toMatchObject({
        cash: later.takings.cash.minor,
        card: later.takings.card.minor,
        other: later.takings.other.minor,
        sales: later.takings.sales,
        bags: later.takings.bags,
        earned: later.earnedMinor,
      });
      const open = salesSoFar(now, unsent).filter(({ undone }) => !undone);
      expect(open.length, when).toBe(later.takings.sales);
      expect(
        putAside(now, unsent, told)
          .map(({ id }) => id)
          .sort(),
        when,
      ).toEqual(later.promises.map(({ id }) => id).sort());
    }
  });
});
