import { act, renderHook } from '@testing-library/react';
import { useDraft } from './useDraft';

describe('useDraft', () => {
  beforeEach(() => sessionStorage.clear());

  it('shows what is stored until something is typed', () => {
    const { result } = renderHook(() => useDraft('a', 'stored'));
    expect(result.current.value).toBe('stored');
    expect(result.current.isChanged).toBe(false);
    act(() => result.current.change('typed'));
    expect(result.current.value).toBe('typed');
    expect(result.current.isChanged).toBe(true);
  });

  it('keeps what was typed when the page is left and opened again', () => {
    const first = renderHook(() => useDraft('b', 'stored'));
    act(() => first.result.current.change('typed'));
    first.unmount();
    const again = renderHook(() => useDraft('b', 'stored'));
    expect(again.result.current.value).toBe('typed');
    act(() => again.result.current.giveUp());
    again.unmount();
    expect(renderHook(() => useDraft('b', 'stored')).result.current.value).toBe('stored');
  });
});
