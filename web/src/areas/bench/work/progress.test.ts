import { isDone, isSame, now, openTurns } from './progress';
import { counted, part, turn, workView } from './work.test.helper';

describe('how far an operation is', () => {
  const zip = turn('zip', part(1, 1), part(2, 0));
  const view = workView(zip, turn('box', part(1, 0)));

  it('is what the server knows with what it hasn’t yet', () => {
    const its = now(zip, view, [counted('zip', 1, 1), counted('zip', 2, 2), counted('box', 1, 1)]);
    expect(its.parts.map((one) => one.done)).toEqual([2, 2]);
  });

  it('never shows more than are begun, or fewer than none', () => {
    expect(now(zip, view, [counted('zip', 1, 9)]).parts[0]?.done).toBe(3);
    expect(now(zip, view, [counted('zip', 2, -4)]).parts[1]?.done).toBe(0);
  });

  it('leaves out what is done, also before the server knows', () => {
    const unsent = [counted('zip', 1, 2), counted('zip', 2, 3)];
    expect(openTurns(view, unsent).map((one) => one.name)).toEqual(['box']);
  });

  it('keeps a turn in sight that the server has done with, with all its lines', () => {
    const after = workView(turn('zip', part(2, 1)));
    const its = now(zip, after, []);
    expect(its.parts.map((one) => one.done)).toEqual([3, 1]);
    expect(isDone(now(zip, workView(), []))).toBe(true);
    expect(isSame(zip, after.turns[0] ?? zip)).toBe(true);
    expect(isSame(zip, turn('box', part(1, 0)))).toBe(false);
  });
});
