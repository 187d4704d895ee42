import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { afterEach, beforeEach, vi } from 'vitest';
import { counted } from './work.test.helper';

beforeEach(() => {
  globalThis.indexedDB = new IDBFactory();
  vi.resetModules();
});
afterEach(() => vi.unstubAllGlobals());

it('sends what waits when any page is opened, and keeps it while nobody answers', async () => {
  const { kept } = await import('./kept');
  const { sendWaiting } = await import('./sendWaiting');
  const entry = counted('zip', 1, 1);
  await (await kept()).add(entry);
  vi.stubGlobal('fetch', () => Promise.reject(new TypeError('away')));
  await sendWaiting();
  expect(await (await kept()).entries()).toHaveLength(1);
  const sent: unknown[] = [];
  vi.stubGlobal('fetch', async (_: string, options: RequestInit) => {
    sent.push(JSON.parse(options.body as string));
    return new Response('{}', { headers: { 'Content-Type': 'application/json' } });
  });
  await sendWaiting();
  await sendWaiting();
  expect(sent).toEqual([{ batchId: 7, entries: [entry] }]);
  expect(await (await kept()).entries()).toHaveLength(0);
});
