import { afterEach, vi } from 'vitest';
import { api, Problem } from './client';

const answer = (status: number, body?: unknown, type = 'application/problem+json') =>
  vi.fn(
    async () =>
      new Response(body === undefined ? null : JSON.stringify(body), {
        status,
        headers: { 'Content-Type': type },
      }),
  );

afterEach(() => vi.unstubAllGlobals());

describe('api', () => {
  it('sends the token that the server gave', async () => {
    document.cookie = 'XSRF-TOKEN=abc123';
    const fetched = answer(200, { id: 1 }, 'application/json');
    vi.stubGlobal('fetch', fetched);
    await api.post('/api/designs', { name: 'Pouch' });
    const [, options] = fetched.mock.calls[0] as unknown as [string, RequestInit];
    expect((options.headers as Record<string, string>)['X-XSRF-TOKEN']).toBe('abc123');
    expect(options.body).toBe('{"name":"Pouch"}');
  });

  it('tells which field was refused and why', async () => {
    vi.stubGlobal(
      'fetch',
      answer(422, {
        detail: 'first',
        errors: [{ field: 'width', read: 'x', sentence: '“x” isn’t a length.' }],
      }),
    );
    const problem = await api.put('/api/designs/1', {}).catch((failure: unknown) => failure);
    expect(problem).toBeInstanceOf(Problem);
    expect((problem as Problem).on('width')).toBe('“x” isn’t a length.');
    expect((problem as Problem).on('height')).toBeUndefined();
    expect((problem as Problem).isClash).toBe(false);
  });

  it('tells a clash with the version that is stored', async () => {
    vi.stubGlobal('fetch', answer(409, { detail: 'changed', currentVersion: 7 }));
    const problem = (await api.put('/api/designs/1', {}).catch((failure: unknown) => failure)) as Problem;
    expect(problem.isClash).toBe(true);
    expect(problem.currentVersion).toBe(7);
  });

  it('says that the server is away, and that nothing typed is lost', async () => {
    vi.stubGlobal(
      'fetch',
      vi.fn(() => Promise.reject(new TypeError('Failed to fetch'))),
    );
    const problem = (await api.get('/api/bench').catch((failure: unknown) => failure)) as Problem;
    expect(problem.isAway).toBe(true);
    expect(problem.message).toContain('still here');
  });

  it('answers nothing for an answer without content', async () => {
    vi.stubGlobal('fetch', answer(204));
    await expect(api.remove('/api/fairs/1')).resolves.toBeUndefined();
  });
});
