import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { rendered } from '../../ui/rendered.test.helper';
import FilesPage from './FilesPage';

afterEach(() => vi.unstubAllGlobals());

const lists: Schemas['ListView'][] = [
  { key: 'shops', columns: [{ name: 'postage', required: true, hint: 'of one order' }] },
];

const job = (more: Partial<Schemas['ImportView']>): Schemas['ImportView'] => ({
  id: 'one',
  list: 'shops',
  state: 'READ',
  done: 2,
  total: 2,
  adds: 2,
  changes: 0,
  same: 0,
  refused: 0,
  separator: 'semicolon',
  encoding: 'UTF-8',
  unknown: [],
  lines: [],
  ...more,
});

let brokenOff: Schemas['BrokenOffView'][] = [];
beforeEach(() => (brokenOff = []));

/** A server whose job goes through the given states, one for each time it is asked. */
function server(...states: Schemas['ImportView'][]) {
  const sent: string[] = [];
  let asked = 0;
  vi.stubGlobal(
    'fetch',
    vi.fn(async (path: string, options: RequestInit) => {
      sent.push(`${options.method} ${path} ${options.body instanceof Blob ? options.body.size : ''}`.trim());
      const body = path.startsWith('/api/lists')
        ? lists
        : path.endsWith('/broken-off')
          ? brokenOff
          : options.method === 'GET'
            ? states[Math.min(asked++, states.length - 1)]
            : states[0];
      return new Response(JSON.stringify(body), { headers: { 'Content-Type': 'application/json' } });
    }),
  );
  return sent;
}

const bring = async () =>
  userEvent.upload(
    await screen.findByLabelText('Import Shops'),
    new File(['name;postage'], 'shops.csv', { type: 'text/csv' }),
  );

describe('lists in and out', () => {
  it('shows progress, then what each line would do, and enters all of it', async () => {
    const sent = server(
      job({ state: 'READING', done: 1 }),
      job({
        unknown: ['colour'],
        lines: [{ number: 2, verdict: 'ADD', what: 'Harbour cloths', reasons: [] }],
      }),
    );
    rendered(<FilesPage />);
    await bring();
    expect(await screen.findByRole('progressbar', { name: 'Looking at the lines' })).toHaveAttribute(
      'aria-valuenow',
      '50',
    );
    expect(await screen.findByText('Harbour cloths')).toBeVisible();
    expect(screen.getByText('Columns that are left out: colour.')).toBeVisible();
    expect(sent).toContain('POST /api/imports?list=shops 12');
    await userEvent.click(screen.getByRole('button', { name: 'Enter all of it' }));
    expect(sent).toContain('POST /api/imports/one/enter');
  });

  it('enters nothing as long as a line is refused', async () => {
    server(
      job({
        adds: 1,
        refused: 1,
        lines: [{ number: 3, verdict: 'REFUSE', what: 'a shop', reasons: ['This is empty.'] }],
      }),
    );
    rendered(<FilesPage />);
    await bring();
    expect(await screen.findByText('This is empty.')).toBeVisible();
    expect(screen.getByRole('button', { name: 'Enter all of it' })).toBeDisabled();
  });

  it('says what of a file is in when the rest of it is refused', async () => {
    server(
      job({
        state: 'REFUSED',
        refusal: 'Row 402 is refused now. Of its 800 lines the first 400 are entered.',
      }),
    );
    rendered(<FilesPage />);
    await bring();
    expect(await screen.findByText(/the first 400 are entered/)).toBeVisible();
    expect(screen.queryByText(/nothing was entered/i)).toBeNull();
  });

  it('tells of a file that was broken off, until the maker leaves it at that', async () => {
    brokenOff = [{ mark: 'ab12', list: 'shops', linesIn: 400, total: 800, on: '2026-11-27' }];
    const sent = server(job({}));
    rendered(<FilesPage />);
    expect(
      await screen.findByText(/broken off on 27 Nov 2026. Of its 800 lines the first 400 are entered/),
    ).toBeVisible();
    brokenOff = [];
    await userEvent.click(screen.getByRole('button', { name: 'Leave it as it is' }));
    expect(sent).toContain('DELETE /api/imports/broken-off/ab12');
    await waitFor(() => expect(screen.queryByText(/was broken off/)).toBeNull());
  });

  it('says why a file is no list', async () => {
    server(job({ state: 'REFUSED', total: 0, refusal: 'The file is empty.' }));
    rendered(<FilesPage />);
    await bring();
    expect(await screen.findByText('The file is empty.')).toBeVisible();
    expect(screen.queryByRole('button', { name: 'Enter all of it' })).toBeNull();
  });
});
