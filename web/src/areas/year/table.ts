import type { Schemas } from '../../api/client';

export type Chart = Schemas['AnswerView'];
export type Table = Schemas['FigureTable'];
export type Row = Schemas['FigureRow'];
export type Cell = Schemas['FigureCell'];
export type Question = Chart['key'];

/** The cell of a row in the column of a name. */
export function cellOf(table: Table, row: Row, name: string): Cell {
  const place = table.columns.findIndex((column) => column.name === name);
  return row.cells[place] ?? { text: '', exact: '' };
}

/** The figure of a cell, for drawing; nothing where there is none. */
export const sizeOf = (cell: Cell) => cell.size ?? undefined;

/** How the figures of money are drawn: in whole coins of the currency, as they are written. */
export const inCoins = (cell: Cell) => 10 ** (/\.(\d+)$/.exec(cell.exact)?.[1]?.length ?? 0);

/** The twelve months that can be asked for: the last ones, then each calendar year since the first sale. */
export function yearsSince(firstSale: string | undefined, today: string): { from: string; words: string }[] {
  const now = Number(today.slice(0, 4));
  const first = Math.min(now, Number((firstSale ?? today).slice(0, 4)));
  return Array.from({ length: now - first + 1 }, (_, i) => ({
    from: `${now - i}-01-01`,
    words: String(now - i),
  }));
}
