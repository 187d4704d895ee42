import { design } from '../../ui/fixtures.test.helper';
import { rebased } from '../../ui/rebased';
import { freeKey, freeLetter, moved, replaced } from './editing';

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

  it('makes two changes that come before the page is drawn anew, and loses neither', () => {
    const drawn = {
      name: 'Bag',
      pieces: [
        { letter: 'A', width: '1', height: '2' },
        { letter: 'B', width: '3', height: '4' },
      ],
    };
    const first = rebased(drawn, drawn, { ...drawn, pieces: replaced(drawn.pieces, 0, { width: '10' }) });
    const second = rebased(first, drawn, { ...drawn, pieces: replaced(drawn.pieces, 0, { height: '20' }) });
    expect(second.pieces).toEqual([
      { letter: 'A', width: '10', height: '20' },
      { letter: 'B', width: '3', height: '4' },
    ]);
    expect(rebased(second, drawn, { ...drawn, name: 'Tote' })).toEqual({ ...second, name: 'Tote' });
    expect(rebased(second, drawn, { ...drawn, pieces: drawn.pieces.slice(1) }).pieces).toHaveLength(1);
    const twice = rebased(second, drawn, { ...drawn, pieces: replaced(drawn.pieces, 0, { width: '11' }) });
    expect(twice.pieces[0]?.width).toBe('11');
  });
});
