import type { Schemas } from '../../api/client';

export type Material = Schemas['MaterialView'];
export type Kind = Material['kind'];
export type MovementKind = Schemas['MovementForm']['kind'];
export type School = Schemas['ShelfForm']['valueSchool'];

export const GROUPS: { kind: Kind; title: string; add: string; short: string }[] = [
  { kind: 'CLOTH', title: 'Cloth, lining, interfacing', add: 'Add cloth', short: 'Cloth' },
  { kind: 'SHEET', title: 'By the sheet', add: 'Add sheets or precuts', short: 'By the sheet' },
  { kind: 'TRIM', title: 'By length', add: 'Add zip tape or trim', short: 'By length' },
  { kind: 'NOTION', title: 'By count', add: 'Add notions', short: 'By count' },
  {
    kind: 'FILLING_BY_WEIGHT',
    title: 'Fillings, by weight',
    add: 'Add filling by weight',
    short: 'By weight',
  },
  { kind: 'FILLING_BY_VOLUME', title: 'Fillings, by volume', add: 'Add by volume', short: 'By volume' },
  { kind: 'THREAD', title: 'Thread', add: 'Add thread', short: 'Thread' },
  { kind: 'PACKING', title: 'Packing', add: 'Add packing', short: 'Packing' },
];

export const TITLES: Record<Kind, string> = {
  CLOTH: 'A cloth',
  SHEET: 'Sheets or precuts',
  TRIM: 'Something bought by length',
  NOTION: 'Something counted',
  FILLING_BY_WEIGHT: 'A filling, by weight',
  FILLING_BY_VOLUME: 'A filling, by volume',
  THREAD: 'A thread',
  PACKING: 'Something to pack in',
};

export const MOVEMENTS: Record<MovementKind, string> = {
  COUNTED: 'counted',
  BOUGHT: 'bought',
  GIVEN: 'given',
  RETURNED: 'came back',
  OFFCUT_KEPT: 'offcut kept',
  CUT: 'cut',
  USED: 'used',
  SPOILED: 'spoiled',
  SOLD_ON: 'sold on',
  SCRAPPED: 'into the scrap bag',
};

export const SCHOOLS: Record<School, string> = {
  FIRST_IN_FIRST_OUT: 'first in, first out',
  MOVING_AVERAGE: 'moving average',
  REPLACEMENT: 'what it would cost to buy again',
};

export const PARTS: Record<Schemas['PartView']['part'], string> = {
  WHOLE: '',
  SOCKET: 'sockets',
  STUD: 'studs',
};

/** What a price is usually for. */
export const usualAmount = (kind: Kind, cloth: string) =>
  ({
    CLOTH: `1 ${cloth}`,
    SHEET: '1',
    TRIM: `1 ${cloth}`,
    NOTION: '',
    FILLING_BY_WEIGHT: '1 kg',
    FILLING_BY_VOLUME: '1 l',
    THREAD: '1000 m',
    PACKING: '',
  })[kind];

/** Colours of cloth and thread that are easily told apart. */
const COLOURS = [
  '#2f5d7c',
  '#8a3b3b',
  '#3f6b4f',
  '#b08a2e',
  '#6b4a7a',
  '#c07a4b',
  '#4a8a8a',
  '#7a8450',
  '#a35c79',
  '#4d5a8c',
  '#8c6a4f',
  '#5b7f9e',
  '#9aa04a',
  '#3d4a52',
  '#b5665a',
  '#6f9b7e',
];

/** A colour that no material has yet, as long as there are any; else the one that the fewest have. */
export function newColour(taken: string[]) {
  const counts = COLOURS.map((colour) => taken.filter((one) => one.toLowerCase() === colour).length);
  return COLOURS[counts.indexOf(Math.min(...counts))] as string;
}

/** How an amount of a kind is typed. */
export const typedAs = (kind: Kind, cloth: string) =>
  ({
    CLOTH: `a length; a bare number is ${cloth}`,
    SHEET: 'how many sheets',
    TRIM: `a length; a bare number is ${cloth}`,
    NOTION: 'a count',
    FILLING_BY_WEIGHT: 'a weight, like 500 g or 1 lb',
    FILLING_BY_VOLUME: 'a volume, like 2 l or 4 cups',
    THREAD: `a length; a bare number is ${cloth}`,
    PACKING: 'a count',
  })[kind];
