import type { Entry } from './kept';
import { isDone, isSame, now, openTurns, stands, type Turn } from './progress';
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

  it('tells which bags stand where, those that are further first', () => {
    const tell = (...turns: Turn[]) =>
      stands(turns).map((one) => `${one.line}: ${one.from}-${one.to} ${one.next ?? 'through'}`);
    expect(tell(turn('zip', part(1, 1), part(2, 0)), turn('box', part(1, 0), part(2, 0)))).toEqual([
      '1: 1-1 box',
      '1: 2-3 zip',
      '2: 1-3 zip',
    ]);
    expect(tell(turn('pack', part(1, 2)))).toEqual(['1: 1-2 through', '1: 3-3 pack']);
    const bundle = (name: string, started: number, done: number) => turn(name, { ...part(1, done), started });
    expect(tell(bundle('box', 1, 0), bundle('zip', 3, 1), bundle('box', 3, 0))).toEqual([
      '1: 1-1 box',
      '1: 2-3 zip',
    ]);
  });

  it('has one bag fewer after the step at which one is scrapped, and none fewer before it', () => {
    const before = turn('cut', part(1, 2));
    const here = turn('zip', { ...part(1, 1), before: ['cut'] });
    const later = turn('box', { ...part(1, 0), before: ['cut', 'zip'] });
    const all = workView(before, here, later);
    const slip: Entry = {
      ...counted('zip', 1, 1),
      kind: 'SLIPPED',
      slip: { outcome: 'SCRAP', usedUp: [] },
    };
    const shows = (entries: Entry[], view = all) =>
      view.turns.map((one) => {
        const its = now(one, view, entries).parts[0];
        return `${its?.done} of ${its?.started}`;
      });
    expect(shows([slip])).toEqual(['2 of 3', '1 of 2', '0 of 2']);
    expect(shows([{ ...slip, slip: { outcome: 'MENDED', usedUp: [] } }])).toEqual([
      '2 of 3',
      '1 of 3',
      '0 of 3',
    ]);
    const again = { pieces: [], dyes: [] };
    expect(shows([{ ...slip, slip: { outcome: 'SCRAP', usedUp: [], again } }])).toEqual([
      '2 of 3',
      '1 of 3',
      '0 of 3',
    ]);
    const known = {
      ...all,
      slips: [
        {
          id: 'a',
          line: 1,
          step: 'zip',
          stepName: 'zip',
          bags: 1,
          outcome: 'SCRAP' as const,
          reason: '',
          mending: { text: '0 min', seconds: 0 },
          cutAgain: [],
          at: slip.at,
        },
      ],
    };
    expect(shows([{ ...counted('zip', 1, 0), kind: 'WITHDRAWN', ofEvent: 'a' }], known)).toEqual([
      '2 of 3',
      '1 of 4',
      '0 of 4',
    ]);
  });
});
