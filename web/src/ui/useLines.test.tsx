import { act, renderHook, waitFor } from '@testing-library/react';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { describe, expect, it } from 'vitest';
import { Problem } from '../api/client';
import { useLines, type Line } from './useLines';

/** A field whose lines are answered when the test says so. */
function field() {
  const sent: Line[] = [];
  const answers: { taken: () => void; refused: (why: Problem) => void }[] = [];
  const client = new QueryClient();
  const { result } = renderHook(
    () =>
      useLines((line) => {
        sent.push(line);
        return new Promise<void>((taken, refused) => {
          answers.push({ taken, refused });
        });
      }),
    {
      wrapper: ({ children }: { children: ReactNode }) => (
        <QueryClientProvider client={client}>{children}</QueryClientProvider>
      ),
    },
  );
  return {
    result,
    sent,
    answers,
    entered: (text: string) => {
      act(() => result.current.type(text));
      act(() => result.current.enter());
    },
    texts: () => sent.map((line) => line.text),
  };
}

describe('lines that are entered one after the other', () => {
  it('go out in their order while the next one is typed', async () => {
    const { result, answers, entered, texts } = field();
    entered('cash box {ç} 🪡');
    entered('needles');
    act(() => result.current.type('ta'));
    await waitFor(() => expect(texts()).toEqual(['cash box {ç} 🪡']));
    answers[0]?.taken();
    await waitFor(() => expect(texts()).toEqual(['cash box {ç} 🪡', 'needles']));
    answers[1]?.taken();
    await waitFor(() => expect(result.current.error).toBeUndefined());
    expect(result.current.text).toBe('ta');
  });

  it('come back when they aren’t taken, and are entered once when they are sent again', async () => {
    const { result, sent, answers, entered } = field();
    entered('needles');
    await waitFor(() => expect(answers).toHaveLength(1));
    answers[0]?.refused(new Problem('Mardun doesn’t answer.', 0));
    await waitFor(() => expect(result.current.text).toBe('needles'));
    expect(result.current.error).toBe('Mardun doesn’t answer.');
    act(() => result.current.enter());
    await waitFor(() => expect(sent).toHaveLength(2));
    expect(sent[1]).toEqual(sent[0]);
  });

  it('are named when they aren’t taken and the next one is being typed', async () => {
    const { result, answers, entered, texts } = field();
    entered('needles');
    act(() => result.current.type('tape'));
    await waitFor(() => expect(answers).toHaveLength(1));
    answers[0]?.refused(
      new Problem('No.', 422, [{ field: 'words', read: 'needles', sentence: 'These are too many.' }]),
    );
    await waitFor(() => expect(result.current.error).toBe('“needles” isn’t kept: These are too many.'));
    expect(result.current.text).toBe('tape');
    act(() => result.current.enter());
    await waitFor(() => expect(texts()).toEqual(['needles', 'tape']));
  });
});
