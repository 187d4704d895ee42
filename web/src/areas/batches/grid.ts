import type { Schemas } from '../../api/client';

export type LineForm = Schemas['LineForm'];
type Document = Schemas['DesignDocument'];

/** The most lines that a batch may have. */
export const MOST_LINES = 60;

/** A design in a size; the second, third … of the same where two lines differ in something else than the outer cloth. */
export interface GridRow {
  designId: number;
  sizeName: string;
  nth: number;
}

/** A batch as a table: designs and sizes down, outer cloths across, in each field the place of its line, or nothing yet. */
export interface Grid {
  rows: GridRow[];
  cloths: number[];
  /** By row and cloth, the line's place in the form. */
  at: (number | undefined)[][];
}

/** The slot of the cloth that a bag is known by: that of its first outer piece, or else of its first cloth. */
export function mainSlot(document: Document): string | undefined {
  return (
    document.pieces.find((piece) => piece.role === 'OUTER')?.slot ??
    document.slots.find((slot) => slot.kind === 'CLOTH' || slot.kind === 'SHEET')?.key
  );
}

export function clothOf(line: LineForm, document: Document): number | undefined {
  const slot = mainSlot(document);
  return line.materials.find((choice) => choice.slot === slot)?.materialId;
}

/** The number that stands for “no cloth chosen yet”. */
export const NO_CLOTH = 0;

/** Lays lines out as a table, in their order. */
export function gridOf(lines: LineForm[], documents: Map<number, Document>): Grid {
  const rows: GridRow[] = [];
  const cloths: number[] = [];
  const at: (number | undefined)[][] = [];
  lines.forEach((line, place) => {
    const document = documents.get(line.designId);
    const cloth = (document && clothOf(line, document)) ?? NO_CLOTH;
    if (!cloths.includes(cloth)) cloths.push(cloth);
    const column = cloths.indexOf(cloth);
    let nth = 0;
    for (;;) {
      const found = rows.findIndex(
        (row) => row.designId === line.designId && row.sizeName === line.sizeName && row.nth === nth,
      );
      if (found < 0) {
        rows.push({ designId: line.designId, sizeName: line.sizeName, nth });
        const row: (number | undefined)[] = [];
        row[column] = place;
        at.push(row);
        return;
      }
      const row = at[found];
      if (row && row[column] === undefined) {
        row[column] = place;
        return;
      }
      nth += 1;
    }
  });
  return { rows, cloths, at };
}

/** A line of a design in its usual materials, or those of another line of it, with another outer cloth. */
export function lineOf(
  designId: number,
  document: Document,
  sizeName: string,
  cloth: number | undefined,
  like?: LineForm,
): LineForm {
  const slot = mainSlot(document);
  const usual =
    like?.materials ??
    document.slots.flatMap((one) =>
      one.materialId === undefined ? [] : [{ slot: one.key, materialId: one.materialId }],
    );
  return {
    designId,
    revision: like?.revision,
    picks: like?.picks,
    sizeName,
    units: '',
    ownPrice: '',
    materials:
      cloth && slot
        ? [...usual.filter((choice) => choice.slot !== slot), { slot, materialId: cloth }]
        : usual,
  };
}

/**
 * The lines with a number typed into a field of the table; a field without a line gets one, after all others, so that no row and
 * no column changes its place.
 */
export function typed(
  lines: LineForm[],
  grid: Grid,
  row: number,
  column: number,
  text: string,
  documents: Map<number, Document>,
): LineForm[] {
  const place = grid.at[row]?.[column];
  if (place !== undefined) {
    return lines.map((line, i) => (i === place ? { ...line, units: text } : line));
  }
  const its = grid.rows[row];
  const document = its && documents.get(its.designId);
  if (!its || !document || text.trim() === '') return lines;
  const ofRow = (grid.at[row] ?? []).filter((one) => one !== undefined);
  const like = lines[ofRow[0] ?? -1];
  const line = {
    ...lineOf(its.designId, document, its.sizeName, grid.cloths[column], like),
    units: text,
  };
  return [...lines, line];
}

/** What a spreadsheet puts on the clipboard, as rows of fields; undefined for a single field. */
export function pastedFields(text: string): string[][] | undefined {
  const rows = text
    .replace(/\r\n?/g, '\n')
    .replace(/\n$/, '')
    .split('\n')
    .map((row) => row.split('\t').map((field) => field.trim()));
  const isOneField = rows.length === 1 && rows[0]?.length === 1;
  return isOneField ? undefined : rows;
}

/** Shares a number out over so many fields as evenly as whole bags go, the first ones getting one more. */
export function spread(number: number, fields: number): number[] {
  const each = Math.floor(number / fields);
  const more = number - each * fields;
  return Array.from({ length: fields }, (_, i) => each + (i < more ? 1 : 0));
}

/** What stands in a field as a number of bags; nothing counts as none, and what isn't a whole number as not known. */
export function bags(text: string | undefined): number | undefined {
  const plain = (text ?? '').trim();
  if (plain === '') return 0;
  return /^\d{1,6}$/.test(plain) ? Number(plain) : undefined;
}

/** The lines that are sent: those with something typed, with where each stands in the table. */
export function filled(lines: LineForm[]): { lines: LineForm[]; places: number[] } {
  if (lines.length === 1) return { lines, places: [0] };
  const places = lines.flatMap((line, place) => (line.units.trim() === '' ? [] : [place]));
  return { lines: lines.filter((_, place) => places.includes(place)), places };
}
