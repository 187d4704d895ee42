import { describe, expect, it } from 'vitest';
import { typedNear, typedSteps } from './steps';

describe('a place in steps', () => {
  it('is said in the smallest fraction', () => {
    expect(typedSteps(83, true)).toBe('5 3/16 in');
    expect(typedSteps(88, true)).toBe('5 1/2 in');
    expect(typedSteps(12, true)).toBe('3/4 in');
    expect(typedSteps(32, true)).toBe('2 in');
    expect(typedSteps(0, true)).toBe('0 in');
    expect(typedSteps(-4, true)).toBe('-1/4 in');
    expect(typedSteps(132, false)).toBe('132 mm');
  });

  it('is the nearest one to where the pointer is', () => {
    expect(typedNear(25.4 * 3.49, true)).toBe('3 1/2 in');
    expect(typedNear(17.6, false)).toBe('18 mm');
  });
});
