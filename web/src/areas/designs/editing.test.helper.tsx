import type { QueryClient } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { sizeSheet } from '../../ui/fixtures.test.helper';
import { rendered } from '../../ui/rendered.test.helper';
import { EditingContext, type Document } from './editing';

/** Shows a part of the editor over a design that really changes; gives access to the design as it is now. */
export function editor(
  part: ReactNode,
  start: Document,
  shown: Partial<Schemas['SizeSheet']> = {},
  before: (client: QueryClient) => void = () => {},
  times: Schemas['StepTime'][] = [],
) {
  const current = { document: start };
  const goTo = vi.fn();
  const sizes = start.sizes.map((size) => sizeSheet(size, shown));
  function Editor() {
    const [document, setDocument] = useState(start);
    current.document = document;
    return (
      <EditingContext
        value={{
          document,
          sheet: { sizes, canBeSewn: true, times, cloths: [], parts: PARTS },
          shown: sizes[0],
          change: (next) => setDocument((now) => ({ ...now, ...next })),
          goTo,
        }}
      >
        {part}
      </EditingContext>
    );
  }
  rendered(<Editor />, 'INCH', before);
  return { current, goTo };
}

/** The parts of a bag whose outer is piece A and whose lining is piece B. */
const PARTS: Schemas['BagPartView'][] = [
  { part: 'BODY', words: 'Body', letters: ['A'], slots: ['outer'], symbols: ['width'] },
  { part: 'LINING', words: 'Lining', letters: ['B'], slots: ['lining'], symbols: ['band'] },
  { part: 'POCKETS', words: 'Pockets', letters: [], slots: [], symbols: [] },
];

/** Answers requests by their path; remembers what was sent. */
export function server(answers: Record<string, unknown>) {
  const sent: { path: string; body: unknown }[] = [];
  vi.stubGlobal(
    'fetch',
    vi.fn(async (path: string, options: RequestInit) => {
      sent.push({ path, body: options.body ? JSON.parse(options.body as string) : undefined });
      const answer = answers[path.split('?')[0] ?? ''];
      return new Response(JSON.stringify(answer ?? { detail: 'There is no such thing.' }), {
        status: answer === undefined ? 404 : 200,
        headers: { 'Content-Type': 'application/json' },
      });
    }),
  );
  return sent;
}

/** Refuses every request with a sentence. */
export function refusing(sentence: string) {
  vi.stubGlobal(
    'fetch',
    vi.fn(
      async () =>
        new Response(JSON.stringify({ detail: sentence, errors: [] }), {
          status: 422,
          headers: { 'Content-Type': 'application/json' },
        }),
    ),
  );
}

/** A step at the machine of which only its name is said. */
export const step = (key: string, name: string): Schemas['StepRow'] => ({
  key,
  name,
  stage: 'SEW',
  station: 'MACHINE',
  needle: '',
  thread: '',
  foot: '',
  stitch: '',
  minutesPerUnit: '2',
  minutesPerBatch: '5',
  passiveMinutes: '0',
  check: '',
  caution: '',
  note: '',
  after: [],
  uses: '',
});
