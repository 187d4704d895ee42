import { called } from '../../../ui/quality';
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
 *
 * @param told what this page touched before and the server knows, so that it can be undone without it
 */
export function reckon(view: StallView, unsent: Entry[], told: Entry[] = []): Tally {
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
  const toldById = new Map(told.map((entry) => [entry.id, entry]));
  const soldBefore = new Map(view.sales.map((sale) => [sale.id, sale]));
  const promised = (id: string | undefined) => {
    const before = view.promises.find((one) => one.id === id);
    if (before) return [{ kind: before.kind, units: before.units, priceMinor: before.priceMinor }];
    const entry = id === undefined ? undefined : byId.get(id);
    return entry?.kind === 'PROMISED' ? entry.bags : (again.get(id ?? '') ?? []);
  };
  /** What was sold to whom it was promised, before the server was heard last, and waits again. */
  const again = new Map(waitingAgain(unsent, told).map(({ ofEntry = '', bags }) => [ofEntry, bags]));
  const undone = new Set<string>();
  for (const entry of unsent) {
    switch (entry.kind) {
      case 'SOLD':
        if (entry.ofEntry) promise(promised(entry.ofEntry), -1);
        sell({ tender: entry.tender, paid: entry.paidMinor ?? 0, bags: entry.bags }, 1);
        break;
      case 'UNDONE': {
        const of = entry.ofEntry ?? '';
        const known = soldBefore.get(of);
        const own = byId.get(of) ?? toldById.get(of);
        if (known?.takenBack || undone.has(of)) break;
        undone.add(of);
        if (known) sell({ tender: known.tender, paid: known.paid.minor, bags: known.bags }, -1);
        else if (own?.kind === 'SOLD' && byId.has(of))
          sell({ tender: own.tender, paid: own.paidMinor ?? 0, bags: own.bags }, -1);
        else if (own?.kind === 'PROMISED') promise(promised(of), -1);
        else if (own && own.kind !== 'SOLD') for (const { kind, units } of own.bags) at(kind).left += units;
        // It waits for whom it was promised to again.
        if (own?.kind === 'SOLD' && own.ofEntry && (known || byId.has(of))) promise(own.bags, 1);
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

/** What some bags are called. */
export function wordsOf({ tiles }: StallView, bags: { kind: string; units: number }[]) {
  const names = new Map(tiles.map(({ bag }) => [bag.key, called(bag)]));
  return bags
    .map(({ kind, units }) => (units > 1 ? `${units} × ` : '') + (names.get(kind) ?? 'a bag'))
    .join('; ');
}

/** What is undone of what was touched, and not known to the server yet. */
const undoneOf = (unsent: Entry[]) =>
  new Set(unsent.filter(({ kind }) => kind === 'UNDONE').map(({ ofEntry }) => ofEntry));

/** Sales of promised bags that the server knows of, and that are undone without it: the bags wait again for whom they were promised to. */
const waitingAgain = (unsent: Entry[], told: Entry[]) => {
  const undone = undoneOf(unsent);
  return told.filter(({ id, kind, ofEntry }) => kind === 'SOLD' && ofEntry && undone.has(id));
};

/** Bags that are put aside, those that the server doesn’t know of yet among them. */
export function putAside(view: StallView, unsent: Entry[], told: Entry[] = []): Schemas['PromiseView'][] {
  const undone = undoneOf(unsent);
  const again = waitingAgain(unsent, told).flatMap(({ ofEntry: id = '', bags }) =>
    bags[0]
      ? [{ id, ...bags[0], words: wordsOf(view, bags), note: told.find((one) => one.id === id)?.note ?? '' }]
      : [],
  );
  const settled = new Set(unsent.filter(({ id }) => !undone.has(id)).map(({ ofEntry }) => ofEntry));
  const own = unsent.flatMap(({ id, kind, bags, note }) =>
    kind === 'PROMISED' && bags[0] ? [{ id, ...bags[0], words: wordsOf(view, bags), note }] : [],
  );
  const known = new Set(view.promises.map(({ id }) => id));
  return [...view.promises, ...again.filter(({ id }) => !known.has(id)), ...own].filter(
    ({ id }) => !settled.has(id) && !undone.has(id),
  );
}

/** A sale as a list of them shows it. */
export interface SaleRow {
  id: string;
  at: string;
  words: string;
  paid: string;
  undone: boolean;
}

/** The sales so far, the newest first, those that the server doesn’t know of yet among them. */
export function salesSoFar(view: StallView, unsent: Entry[]): SaleRow[] {
  const undone = undoneOf(unsent);
  const own = unsent
    .filter(({ kind }) => kind === 'SOLD')
    .map(({ id, at, bags, paidMinor }) => ({
      id,
      at,
      words: wordsOf(view, bags),
      paid: written(paidMinor ?? 0, view.money),
      undone: undone.has(id),
    }));
  const known = view.sales.map(({ id, at, words, paid, takenBack }) => ({
    id,
    at,
    words,
    paid: paid.amount,
    undone: takenBack || undone.has(id),
  }));
  return [...own.reverse(), ...known];
}

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
