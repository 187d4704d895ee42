import { act, renderHook } from '@testing-library/react';
import { useState } from 'react';
import { vi } from 'vitest';
import { useHistory } from './useHistory';

function useCounted() {
  const [value, setValue] = useState('a');
  return { value, history: useHistory(value, setValue) };
}

describe('undo', () => {
  beforeEach(() => vi.useFakeTimers({ toFake: ['Date'] }));
  afterEach(() => vi.useRealTimers());

  const wait = () => vi.advanceTimersByTime(1000);

  it('goes back and forth, step by step', () => {
    const { result } = renderHook(useCounted);
    act(() => result.current.history.change('b'));
    wait();
    act(() => result.current.history.change('c'));
    act(() => result.current.history.undo());
    expect(result.current.value).toBe('b');
    act(() => result.current.history.undo());
    expect(result.current.value).toBe('a');
    expect(result.current.history.canUndo).toBe(false);
    act(() => result.current.history.redo());
    expect(result.current.value).toBe('b');
  });

  it('takes typing without a pause as one step', () => {
    const { result } = renderHook(useCounted);
    for (const text of ['b', 'bc', 'bcd']) act(() => result.current.history.change(text));
    act(() => result.current.history.undo());
    expect(result.current.value).toBe('a');
  });

  it('forgets what was undone once something else is typed', () => {
    const { result } = renderHook(useCounted);
    act(() => result.current.history.change('b'));
    act(() => result.current.history.undo());
    act(() => result.current.history.change('z'));
    expect(result.current.history.canRedo).toBe(false);
  });

  it('listens to Ctrl+Z and Ctrl+Shift+Z', () => {
    const { result } = renderHook(useCounted);
    act(() => result.current.history.change('b'));
    act(() => void window.dispatchEvent(new KeyboardEvent('keydown', { key: 'z', ctrlKey: true })));
    expect(result.current.value).toBe('a');
    act(
      () =>
        void window.dispatchEvent(new KeyboardEvent('keydown', { key: 'Z', ctrlKey: true, shiftKey: true })),
    );
    expect(result.current.value).toBe('b');
  });

  it('leaves Ctrl+Z in a text field to the field', () => {
    const { result } = renderHook(useCounted);
    act(() => result.current.history.change('b'));
    const field = document.body.appendChild(document.createElement('input'));
    const press = new KeyboardEvent('keydown', { key: 'z', ctrlKey: true, bubbles: true, cancelable: true });
    act(() => void field.dispatchEvent(press));
    expect(result.current.value).toBe('b');
    expect(press.defaultPrevented).toBe(false);
    field.remove();
  });
});
