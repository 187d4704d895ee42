import { newColour } from './words';

describe('the colour of a new material', () => {
  it('is one that no other has', () => {
    const first = newColour([]);
    const second = newColour([first.toUpperCase()]);
    expect(second).not.toBe(first);
    expect(newColour([first, second])).not.toBe(first);
  });

  it('comes again only when all are taken', () => {
    const taken: string[] = [];
    for (let i = 0; i < 16; i++) taken.push(newColour(taken));
    expect(new Set(taken).size).toBe(16);
    expect(newColour(taken)).toBe(taken[0]);
  });
});
