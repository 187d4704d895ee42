import { act, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, vi } from 'vitest';
import { onceMore, remaining, useCountdowns, type Countdown } from './countdowns';

const press: Countdown = { id: 'a', what: 'Press', seconds: 12, round: 1, times: 6, endsAt: 20_000 };

describe('what is held or waits', () => {
  beforeEach(() => {
    localStorage.clear();
    vi.useFakeTimers();
  });
  afterEach(() => vi.useRealTimers());

  it('never waits longer than it is, also where the clock was set back', () => {
    expect(remaining(press, 10_000)).toBe(10_000);
    expect(remaining(press, 30_000)).toBe(0);
    expect(remaining(press, -900_000)).toBe(12_000);
    expect(onceMore(press, 21_000)).toMatchObject({ round: 2, endsAt: 33_000 });
  });

  it('runs beside others, says when it is over, goes on to the next time, and outlives the page', () => {
    const first = renderHook(() => useCountdowns());
    act(() => first.result.current.start('Press', 12, 2));
    act(() => first.result.current.start('Glue', 600, 1));
    act(() => vi.advanceTimersByTime(13_000));
    const left = (hook: typeof first, what: string) => {
      const one = hook.result.current.all.find((its) => its.what === what);
      return one && remaining(one, hook.result.current.now);
    };
    expect(left(first, 'Press')).toBe(0);
    expect(left(first, 'Glue')).toBeLessThan(588_000);
    first.unmount();
    const second = renderHook(() => useCountdowns());
    expect(second.result.current.all.map((one) => one.what)).toEqual(['Press', 'Glue']);
    act(() => second.result.current.again(second.result.current.all[0]?.id ?? ''));
    expect(left(second, 'Press')).toBe(12_000);
    act(() => second.result.current.stop(second.result.current.all[0]?.id ?? ''));
    expect(second.result.current.all.map((one) => one.what)).toEqual(['Glue']);
  });
});
