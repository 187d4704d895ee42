import { act, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, vi } from 'vitest';
import { useSettled } from './useSettled';

beforeEach(() => {
  vi.useFakeTimers();
});
afterEach(() => {
  vi.useRealTimers();
});

describe('what has settled', () => {
  it('follows once it has stood still, and then draws nothing anew', () => {
    let drawn = 0;
    const { result, rerender } = renderHook(
      ({ units }) => {
        drawn += 1;
        return useSettled({ units }, 60);
      },
      { initialProps: { units: '1' } },
    );
    rerender({ units: '12' });
    act(() => void vi.advanceTimersByTime(30));
    expect(result.current).toEqual({ units: '1' });
    act(() => void vi.advanceTimersByTime(200));
    expect(result.current).toEqual({ units: '12' });
    const before = drawn;
    act(() => void vi.advanceTimersByTime(2_000));
    expect(drawn).toBe(before);
  });
});
