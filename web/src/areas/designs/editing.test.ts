import { design } from '../../ui/fixtures.test.helper';
import { freeKey, freeLetter, moved, relettered } from './editing';

const piece = (letter: string, backs?: string) => ({ letter, backs }) as never;

describe('editing a design', () => {
  it('finds the first letter that nothing has yet', () => {
    expect(freeLetter(design())).toBe('A');
    const taken = design({
      pieces: [piece('A'), piece('C')],
      panels: [piece('B')],
      trims: [piece('D')],
    });
    expect(freeLetter(taken)).toBe('E');
    const all = design({ pieces: [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'].map((letter) => piece(letter)) });
    expect(freeLetter(all)).toBe('A1');
  });

  it('makes a name for formulas out of words', () => {
    expect(freeKey('Zip width', [])).toBe('zipwidth');
    expect(freeKey('2nd pocket', [])).toBe('m2ndpocket');
    expect(freeKey('seam', ['seam', 'seam2'])).toBe('seam3');
  });

  it('moves items only where they can go', () => {
    expect(moved([1, 2, 3], 0, 1)).toEqual([2, 1, 3]);
    expect(moved([1, 2, 3], 0, -1)).toEqual([1, 2, 3]);
    expect(moved([1, 2, 3], 2, 1)).toEqual([1, 2, 3]);
  });

  it('gives another letter wherever the old one stands', () => {
    const before = design({
      form: { ...design().form, outer: 'A', lining: 'B' },
      pieces: [piece('A'), piece('C', 'A')],
      panels: [{ letter: 'P', parts: [{ letter: 'A', shows: '' }] } as never],
      straps: [{ of: 'A' } as never],
      steps: [{ uses: '2A, 2B, AB' } as never],
    });
    const after = relettered(before, 'A', 'X');
    expect(after.form.outer).toBe('X');
    expect(after.form.lining).toBe('B');
    expect(after.pieces.map((p) => [p.letter, p.backs])).toEqual([
      ['X', undefined],
      ['C', 'X'],
    ]);
    expect(after.panels[0]?.parts[0]?.letter).toBe('X');
    expect(after.straps[0]?.of).toBe('X');
    expect(after.steps[0]?.uses).toBe('2X, 2B, AB');
  });
});
