import { act, renderHook, waitFor } from '@testing-library/react';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { describe, expect, it, vi } from 'vitest';
import { useTypedRow } from './useTypedRow';
import type { ReactNode } from 'react';

type Row = { units: string; box: string };

/** A row whose saving is answered one by one, when the test says so. */
function row(isReady?: (row: Row) => boolean) {
  const answers: { taken: () => void; lost: () => void }[] = [];
  const save = vi.fn(
    (what: Row) =>
      new Promise<Row>((taken, lost) => {
        answers.push({ taken: () => taken(what), lost: () => lost(new TypeError('no line')) });
      }),
  );
  let stored: Row = { units: '1', box: '' };
  const client = new QueryClient();
  const { result, rerender } = renderHook(
    () =>
      useTypedRow(stored, save, {
        isReady,
        then: (got) => {
          stored = got;
        },
      }),
    {
      wrapper: ({ children }: { children: ReactNode }) => (
        <QueryClientProvider client={client}>{children}</QueryClientProvider>
      ),
    },
  );
  const type = (field: keyof Row, keys: string) => {
    let text = '';
    for (const key of keys) {
      text += key;
      const so = text;
      act(() => result.current.type(field, so));
    }
  };
  const leave = () => act(() => result.current.leave());
  const answer = async (n: number) => {
    await waitFor(() => expect(answers.length).toBeGreaterThan(n));
    await act(async () => {
      answers[n]?.taken();
      await Promise.resolve();
    });
  };
  return { result, rerender, save, answers, type, leave, answer };
}

describe('a row of fields', () => {
  it('is sent once when a field is left, whether by Enter or by going on', async () => {
    const { result, save, type, leave, answer } = row();
    leave();
    expect(save, 'nothing was typed').not.toHaveBeenCalled();
    type('units', '12');
    leave();
    leave();
    await waitFor(() => expect(save).toHaveBeenCalledTimes(1));
    expect(save).toHaveBeenLastCalledWith({ units: '12', box: '' }, expect.anything());
    await answer(0);
    await waitFor(() => expect(result.current.shown).toEqual({ units: '12', box: '' }));
    leave();
    expect(save).toHaveBeenCalledTimes(1);
  });

  it('keeps what is typed on meanwhile, and sends it once that is left', async () => {
    const { result, save, type, leave, answer } = row();
    type('units', '3');
    leave();
    type('box', 'bl');
    await answer(0);
    expect(result.current.shown).toEqual({ units: '3', box: 'bl' });
    type('box', 'blue');
    leave();
    await waitFor(() => expect(save).toHaveBeenCalledTimes(2));
    expect(save).toHaveBeenLastCalledWith({ units: '3', box: 'blue' }, expect.anything());
  });

  it('sends what is left meanwhile after the first, never beside it', async () => {
    const { save, type, leave, answer } = row();
    type('units', '3');
    leave();
    await waitFor(() => expect(save).toHaveBeenCalledTimes(1));
    type('box', 'blue');
    leave();
    expect(save).toHaveBeenCalledTimes(1);
    await answer(0);
    await waitFor(() => expect(save).toHaveBeenCalledTimes(2));
    expect(save).toHaveBeenLastCalledWith({ units: '3', box: 'blue' }, expect.anything());
  });

  it('is sent again when it is left once more after it was lost', async () => {
    const { result, save, answers, type, leave } = row();
    type('units', '3');
    leave();
    await waitFor(() => expect(save).toHaveBeenCalledTimes(1));
    await act(async () => {
      answers[0]?.lost();
      await Promise.resolve();
    });
    expect(result.current.shown.units, 'it is still there').toBe('3');
    await waitFor(() => {
      leave();
      expect(save).toHaveBeenCalledTimes(2);
    });
  });

  it('waits until it can be saved', async () => {
    const { result, save, type, leave } = row((what) => what.box !== '');
    expect(result.current.isUnready).toBe(false);
    type('units', '3');
    leave();
    expect(save).not.toHaveBeenCalled();
    expect(result.current.isUnready).toBe(true);
    type('box', '1');
    leave();
    await waitFor(() => expect(save).toHaveBeenCalledTimes(1));
  });
});
