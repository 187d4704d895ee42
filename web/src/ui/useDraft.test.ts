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

  it('changes what stands there at that moment, not what stood there when the page was drawn', () => {
    const { result } = renderHook(() => useDraft('c', { name: 'stored', count: 1 }));
    const asDrawn = result.current;
    act(() => asDrawn.update((before) => ({ ...before, name: 'typed' })));
    act(() => asDrawn.update((before) => ({ ...before, count: 2 })));
    expect(result.current.value).toEqual({ name: 'typed', count: 2 });
    act(() => result.current.giveUp());
    expect(result.current.isChanged).toBe(false);
  });

  it('keeps what was typed on while the rest was saved, on top of what is stored now', () => {
    const first = { version: 1, name: 'stored', place: '', note: '' };
    const { result } = renderHook(() => useDraft('d', first));
    act(() => result.current.change({ ...first, name: 'typed ', place: 'yard' }));
    const sent = result.current.value ?? first;
    act(() => result.current.update((before) => ({ ...before, note: 'on' })));
    act(() => result.current.saved(sent, { ...sent, version: 2, name: 'typed' }));
    expect(result.current.value).toEqual({ version: 2, name: 'typed', place: 'yard', note: 'on' });
    const all = result.current.value ?? first;
    act(() => result.current.saved(all, { ...all, version: 3 }));
    expect(result.current.isChanged, 'nothing was typed on').toBe(false);
  });
});
