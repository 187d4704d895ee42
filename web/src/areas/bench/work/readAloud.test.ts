import { renderHook } from '@testing-library/react';
import { afterEach, vi } from 'vitest';
import { useReadAloud } from './readAloud';
import { part, turn } from './work.test.helper';

afterEach(() => vi.unstubAllGlobals());

it('reads a step with what to change, and then what comes next within it', () => {
  const said: string[] = [];
  vi.stubGlobal(
    'SpeechSynthesisUtterance',
    class {
      constructor(readonly text: string) {}
    },
  );
  vi.stubGlobal('speechSynthesis', {
    cancel: () => said.push('–'),
    speak: (what: { text: string }) => said.push(what.text),
  });
  const zip = { ...turn('Sew the zip', part(1, 0)), changes: ['zip foot', 'needle 90'] };
  const prompt = {
    kind: 'BEFORE' as const,
    text: 'Slider inside',
    from: '',
    gate: true,
    seconds: 0,
    times: 1,
  };
  const { rerender } = renderHook(({ on }) => useReadAloud(on, zip, prompt), { initialProps: { on: false } });
  expect(said).toEqual([]);
  rerender({ on: true });
  expect(said).toEqual(['–', 'Sew the zip. Change zip foot, needle 90', 'Slider inside']);
});
