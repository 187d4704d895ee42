import type { Schemas } from '../../../api/client';

export type Brief = Schemas['BriefForm'];
export type Draft = Schemas['DraftView'];

/** A brief in which nothing was said yet. */
export const begun = (kind: Brief['kind']): Brief => ({
  kind,
  name: '',
  known: 'FINISHED',
  chosen: {},
  measures: {},
  materials: {},
  paper: [],
});

/** What is said of a piece on the paper, changed at one place. */
export function onPaper(paper: Brief['paper'], letter: string, next: Partial<Brief['paper'][number]>) {
  const before = paper.find((row) => row.letter === letter) ?? { letter, width: '', height: '' };
  const row = { ...before, ...next };
  const others = paper.filter((one) => one.letter !== letter);
  return row.width.trim() || row.height.trim() ? [...others, row] : others;
}
