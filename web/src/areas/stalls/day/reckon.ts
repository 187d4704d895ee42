import type { Schemas } from '../../../api/client';

export type StallView = Schemas['StallView'];
export type Entry = Schemas['StallEntry'];
export type Style = Schemas['MoneyStyle'];

/** A tile as it stands with what the server doesn't know yet. */
export interface Standing {
  left: number;
  promised: number;
  sold: number;
}

export interface Tally {
  tiles: Map<string, Standing>;
  cash: number;
  card: number;
  other: number;
  sales: number;
  bags: number;
  /** What all sales left, before what going there costs. */
  earned: number;
}

interface Sold {
  tender: Entry['tender'];
  paid: number;
  bags: { kind: string; units: number }[];
}

/**
 * How a stall stands: what the server said last, with what was touched since. The server reckons all of it anew once it hears; this is what
 * the page shows until then, so that a day without it is a day like any other.
 */
export function reckon(view: StallView, unsent: Entry[]): Tally {
  const tiles = new Map<string, Standing>(
    view.tiles.map((tile) => [tile.bag.key, { left: tile.left, promised: tile.promised, sold: tile.sold }]),
  );
  const leaves = new Map(view.tiles.map((tile) => [tile.bag.key, tile]));
  const tally: Tally = {
    tiles,
    cash: view.takings.cash.minor,
    card: view.takings.card.minor,
    other: view.takings.other.minor,
    sales: view.takings.sales,
    bags: view.takings.bags,
    earned: view.earnedMinor,
  };
  const at = (kind: string) => {
    const known = tiles.get(kind) ?? { left: 0, promised: 0, sold: 0 };
    tiles.set(kind, known);
    return known;
  };
  const sell = ({ tender, paid, bags }: Sold, times: 1 | -1) => {
    if (tender === 'CARD') tally.card += times * paid;
    else if (tender === 'OTHER') tally.other += times * paid;
    else tally.cash += times * paid;
    tally.sales += times;
    tally.earned += times * paid;
    for (const { kind, units } of bags) {
      const tile = leaves.get(kind);
      tally.bags += times * units;
      // What one costs, with what selling takes.
      if (tile) tally.earned -= times * units * (tile.price.minor - tile.leavesMinor);
      at(kind).left -= times * units;
      at(kind).sold += times * units;
    }
  };
  const promise = (bags: Entry['bags'], times: 1 | -1) => {
    for (const { kind, units } of bags) {
      at(kind).left -= times * units;
      at(kind).promised += times * units;
    }
  };
  const byId = new Map(unsent.map((entry) => [entry.id, entry]));
  const soldBefore = new Map(view.sales.map((sale) => [sale.id, sale]));
  const promised = (id: string | undefined) => {
    const before = view.promises.find((one) => one.id === id);
    if (before) return [{ kind: before.kind, units: before.units, priceMinor: before.priceMinor }];
    const entry = id === undefined ? undefined : byId.get(id);
    return entry?.kind === 'PROMISED' ? entry.bags : [];
  };
  for (const entry of unsent) {
    switch (entry.kind) {
      case 'SOLD':
        if (entry.ofEntry) promise(promised(entry.ofEntry), -1);
        sell({ tender: entry.tender, paid: entry.paidMinor ?? 0, bags: entry.bags }, 1);
        break;
      case 'UNDONE': {
        const own = entry.ofEntry === undefined ? undefined : byId.get(entry.ofEntry);
        const known = entry.ofEntry === undefined ? undefined : soldBefore.get(entry.ofEntry);
        if (own?.kind === 'SOLD') {
          sell({ tender: own.tender, paid: own.paidMinor ?? 0, bags: own.bags }, -1);
          if (own.ofEntry) promise(promised(own.ofEntry), 1);
        } else if (own?.kind === 'PROMISED') promise(own.bags, -1);
        else if (own) for (const { kind, units } of own.bags) at(kind).left += units;
        else if (known && !known.takenBack)
          sell({ tender: known.tender, paid: known.paid.minor, bags: known.bags }, -1);
        break;
      }
      case 'PROMISED':
        promise(entry.bags, 1);
        break;
      case 'RELEASED':
        promise(promised(entry.ofEntry), -1);
        break;
      case 'GIVEN_AWAY':
      case 'BROKEN':
      case 'STOLEN':
        for (const { kind, units } of entry.bags) at(kind).left -= units;
        break;
    }
  }
  return tally;
}

/** How many more bags until going there is paid: 0 where it is; absent where all that is here isn’t enough. */
export function toBreakEven(view: StallView, { earned, tiles }: Tally) {
  const open = view.costsMinor - earned;
  if (open <= 0) return 0;
  const more = view.usualLeavesMinor > 0 ? Math.ceil(open / view.usualLeavesMinor) : Infinity;
  const here = [...tiles.values()].reduce((sum, { left, promised }) => sum + Math.max(0, left) + promised, 0);
  return more <= here ? more : undefined;
}

/** What a bag is called in few words. */
export const called = ({ design, size }: Schemas['BagView']) => (size ? `${design}, ${size}` : design);

/** An amount of minor units as it is written. */
export function written(minor: number, { decimals, mark }: Style) {
  const digits = Math.abs(minor)
    .toString()
    .padStart(decimals + 1, '0');
  const whole = digits.slice(0, digits.length - decimals);
  const sign = minor < 0 ? '−' : '';
  return decimals === 0 ? sign + whole : `${sign}${whole}${mark}${digits.slice(-decimals)}`;
}

/** What was typed as minor units; nothing where it is no amount. */
export function read(text: string, { decimals }: Style) {
  const match = /^(\d{1,7})(?:[.,](\d*))?$/.exec(text.trim());
  const rest = match?.[2] ?? '';
  if (!match || rest.length > decimals) return undefined;
  return Number(`${match[1]}${rest.padEnd(decimals, '0')}`);
}

/** What a buyer may hand over: just that, and the next amounts in notes, the smallest first. */
export function handedOver(due: number, notes: number[]) {
  const next = [...new Set(notes.map((note) => Math.ceil(due / note) * note))]
    .filter((amount) => amount > due && notes.some((note) => amount % note === 0 && amount / note <= 4))
    .sort((a, b) => a - b);
  return next.slice(0, 4);
}
