import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { rendered } from '../../ui/rendered.test.helper';
import BatchesPage from './BatchesPage';

afterEach(() => vi.unstubAllGlobals());

const line = (id: number, stage: Schemas['BatchRow']['stage']): Schemas['BatchRow'] => ({
  id,
  designName: 'Heron pouch',
  sizeName: 'small',
  lineCount: 1,
  units: 10,
  doneUnits: stage === 'FINISHED' ? 10 : 0,
  paused: false,
  stage,
  forWhat: '',
  clothName: 'Juniper Dot',
  isShort: false,
  hoursLeft: { text: '0 min', seconds: 0 },
});

const asked: URLSearchParams[] = [];

/** A workroom with one batch on the go, which is its oldest, and so many finished ones. */
function workroom(finished: number) {
  const done = Array.from({ length: finished }, (_, i) => line(finished + 1 - i, 'FINISHED'));
  vi.stubGlobal('fetch', (path: string) => {
    const { pathname, searchParams: query } = new URL(path, 'http://localhost');
    if (pathname === '/api/fairs')
      return Promise.resolve(Response.json({ coming: [{ id: 1, name: 'Reed Fair' }] }));
    if (pathname !== '/api/batches') return Promise.resolve(Response.json([{ id: 4, name: 'Heron pouch' }]));
    asked.push(query);
    const all = query.get('list') === 'OPEN' ? [line(1, 'PLANNED')] : done;
    const [page, size] = [Number(query.get('page')), Number(query.get('size'))];
    const items = all.slice(page * size, (page + 1) * size);
    return Promise.resolve(Response.json({ items, page, size, total: all.length }));
  });
}

describe('batches', () => {
  it('shows the fifty-first finished batch, and an old one that is still open', async () => {
    workroom(120);
    rendered(<BatchesPage />);
    const open = await screen.findByRole('region', { name: 'On the go' });
    expect(within(open).getByText(/Batch 1 ·/)).toBeVisible();
    const finished = await screen.findByRole('region', { name: 'Finished' });
    expect(within(finished).getByText('50 of 120')).toBeVisible();
    expect(within(finished).queryByText(/Batch 71 ·/)).toBeNull();
    await userEvent.click(within(finished).getByRole('button', { name: 'Show more' }));
    expect(await within(finished).findByText(/Batch 71 ·/)).toBeVisible();
    await userEvent.click(await within(finished).findByRole('button', { name: 'Show more' }));
    expect(await within(finished).findByText(/Batch 2 ·/)).toBeVisible();
    expect(within(finished).queryByRole('button', { name: 'Show more' })).toBeNull();
  });

  it('asks for those of one design and of one fair', async () => {
    workroom(3);
    rendered(<BatchesPage />);
    await screen.findByRole('option', { name: 'Reed Fair' });
    await userEvent.selectOptions(screen.getByLabelText('For'), 'Reed Fair');
    await userEvent.selectOptions(screen.getByLabelText('Design'), 'Heron pouch');
    await screen.findByRole('region', { name: 'Finished' });
    const last = asked[asked.length - 1];
    expect([last?.get('for'), last?.get('design')]).toEqual(['Reed Fair', '4']);
  });
});
