import { describe, expect, it } from 'vitest';
import type { Schemas } from '../../api/client';
import { bags, filled, gridOf, lineOf, pastedFields, spread, typed } from './grid';

const document = {
  pieces: [
    { role: 'LINING', slot: 'inside' },
    { role: 'OUTER', slot: 'outer' },
  ],
  slots: [
    { key: 'inside', kind: 'CLOTH', materialId: 7 },
    { key: 'outer', kind: 'CLOTH', materialId: 1 },
  ],
} as unknown as Schemas['DesignDocument'];
const documents = new Map([
  [1, document],
  [2, document],
]);

const line = (designId: number, sizeName: string, cloth: number, units: string) => ({
  ...lineOf(designId, document, sizeName, cloth),
  units,
});

describe('a batch as a table', () => {
  it('has designs and sizes down and outer cloths across, in the order of the lines', () => {
    const grid = gridOf(
      [line(1, 'small', 5, '12'), line(1, 'small', 6, '8'), line(2, 'one', 6, '3')],
      documents,
    );
    expect(grid.rows.map((row) => `${row.designId} ${row.sizeName}`)).toEqual(['1 small', '2 one']);
    expect(grid.cloths).toEqual([5, 6]);
    expect(grid.at).toEqual([
      [0, 1],
      [undefined, 2],
    ]);
  });

  it('keeps lines apart that differ in something else than the outer cloth', () => {
    const grid = gridOf([line(1, 'small', 5, '12'), line(1, 'small', 5, '8')], documents);
    expect(grid.rows).toHaveLength(2);
    expect(grid.rows[1]?.nth).toBe(1);
  });

  it('takes a number into a field that has a line, and makes one where there is none', () => {
    const lines = [line(1, 'small', 5, '12'), line(2, 'one', 6, '3')];
    const grid = gridOf(lines, documents);
    expect(typed(lines, grid, 0, 0, '1', documents)[0]?.units).toBe('1');
    const more = typed(lines, grid, 0, 1, '4', documents);
    expect(more.map((one) => one.units)).toEqual(['12', '3', '4']);
    expect(gridOf(more, documents).cloths).toEqual(grid.cloths);
    expect(more[2]?.materials).toContainEqual({ slot: 'outer', materialId: 6 });
    expect(more[2]?.materials).toContainEqual({ slot: 'inside', materialId: 7 });
    expect(typed(lines, grid, 0, 1, ' ', documents)).toBe(lines);
  });

  it('keeps a line whose number is taken out, so that its other choices are there when one is typed again', () => {
    const lines = [line(1, 'small', 5, '12'), line(1, 'small', 6, '8')];
    const emptied = typed(lines, gridOf(lines, documents), 0, 1, '', documents);
    expect(emptied).toHaveLength(2);
    expect(filled(emptied)).toEqual({ lines: [emptied[0]], places: [0] });
  });

  it('reads what a spreadsheet puts on the clipboard', () => {
    expect(pastedFields('1\t2\r\n3\tmany\r\n')).toEqual([
      ['1', '2'],
      ['3', 'many'],
    ]);
    expect(pastedFields('12')).toBeUndefined();
  });

  it('spreads a number evenly and loses none', () => {
    expect(spread(24, 5)).toEqual([5, 5, 5, 5, 4]);
    expect(spread(2, 3)).toEqual([1, 1, 0]);
  });

  it('counts what is a number and nothing else', () => {
    expect([bags(''), bags(' 12 '), bags('many'), bags('-3'), bags('2.5')]).toEqual([
      0,
      12,
      undefined,
      undefined,
      undefined,
    ]);
  });
});
