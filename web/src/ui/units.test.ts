import { day, daysBetween, longDay, sides } from './units';

describe('sides', () => {
  it('says the unit once where both sides have it', () => {
    expect(sides('10 ½ in', '8 in')).toBe('10 ½ × 8 in');
    expect(sides('≈ 26.7 cm', '20.3 cm')).toBe('≈ 26.7 × 20.3 cm');
  });

  it('keeps both units where they differ', () => {
    expect(sides('6 mm', '2.5 cm')).toBe('6 mm × 2.5 cm');
  });
});

describe('days', () => {
  it('counts days across a change of the clock', () => {
    expect(daysBetween('2026-03-28', '2026-03-30')).toBe(2);
    expect(daysBetween('2026-10-24', '2026-10-26')).toBe(2);
    expect(daysBetween('2026-12-31', '2027-01-01')).toBe(1);
  });

  it('writes days as a maker says them', () => {
    expect(day('2026-12-03')).toBe('Thu 3 Dec');
    expect(longDay('2026-11-24')).toMatch(/Tuesday,? 24 November/);
  });
});
