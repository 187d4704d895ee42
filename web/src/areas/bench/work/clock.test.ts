import { again, asKept, clockText, isRunning, STANDING, started, stopped, told, untold } from './clock';

const TAB = 'this tab';
const ZIP = { line: 1, step: 'zip', stepName: 'Sew the zip', place: '1' };
const BOX = { ...ZIP, step: 'box' };

describe('the clock at the bench', () => {
  it('runs by the steady clock, and what was told isn’t told again', () => {
    const running = started(STANDING, ZIP, 'working', 1000);
    expect(untold(running, 4000)).toBe(3000);
    const after = told(running, 4000);
    expect(untold(after, 4500)).toBe(500);
    expect(untold(stopped(after), 9000)).toBe(0);
  });

  it('goes on with what an operation had, and begins anew for another', () => {
    const before = { ...STANDING, of: ZIP, untold: 700, phase: 'paused' as const };
    expect(untold(started(before, ZIP, 'working', 0), 100)).toBe(800);
    expect(untold(started(before, BOX, 'working', 0), 100)).toBe(100);
  });

  it('goes on after a reload with the moment that took', () => {
    const kept = asKept(started(STANDING, ZIP, 'working', 0), 5000, 100_000, TAB);
    const next = again(kept, 20, 102_000, TAB);
    expect(isRunning(next)).toBe(true);
    expect(untold(next, 20)).toBe(7000);
  });

  it('stands with all that it had shown after a flat battery, or a clock that was set back', () => {
    const kept = asKept(started(STANDING, ZIP, 'working', 0), 5000, 100_000, TAB);
    for (const wall of [100_000 + 3_600_000, 40_000]) {
      const next = again(kept, 0, wall, TAB);
      expect(isRunning(next)).toBe(false);
      expect(next).toMatchObject({ phase: 'paused', untold: 5000, of: ZIP });
    }
  });

  it('isn’t taken from another tab in which it runs', () => {
    const kept = asKept(started(STANDING, ZIP, 'working', 0), 5000, 100_000, 'another');
    expect(again(kept, 0, 101_000, TAB)).toEqual(STANDING);
    expect(again(kept, 0, 130_000, TAB)).toMatchObject({ of: ZIP, phase: 'working' });
    expect(again(undefined, 0, 0, TAB)).toEqual(STANDING);
  });

  it('writes hours from one on', () => {
    expect([0, 59_999, 60_000, 3_599_999, 3_661_000].map(clockText)).toEqual([
      '0:00',
      '0:59',
      '1:00',
      '59:59',
      '1:01:01',
    ]);
  });
});
