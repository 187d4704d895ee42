import { describe, expect, it } from 'vitest';
import { called } from './quality';

describe('what a kind of bag is called', () => {
  const bag = { key: 'k', design: 'Wren', size: 'small', cloth: 'Kelp linen', quality: 'GOOD' as const };

  it('tells its size, its cloth and what is no first quality', () => {
    expect(called(bag)).toBe('Wren, small, Kelp linen');
    expect(called({ ...bag, quality: 'SECOND' })).toBe('Wren, small, Kelp linen, second');
    expect(called({ ...bag, size: '', cloth: '', quality: 'KIT' })).toBe('Wren, kit');
  });
});
