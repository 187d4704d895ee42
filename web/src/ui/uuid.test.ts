import { afterEach, vi } from 'vitest';
import { uuid } from './uuid';

afterEach(() => vi.unstubAllGlobals());

it('makes ids also where the browser has no maker of them', () => {
  const random = (bytes: Uint8Array) => bytes.map(() => Math.floor(Math.random() * 256));
  vi.stubGlobal('crypto', { getRandomValues: random });
  const ids = Array.from({ length: 50 }, uuid);
  ids.forEach((id) =>
    expect(id).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/),
  );
  expect(new Set(ids).size).toBe(50);
});
