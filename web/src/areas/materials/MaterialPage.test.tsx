import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter, Route, Routes } from 'react-router';
import { afterEach, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { keys } from '../../api/queries';
import { amount, length, money, settings } from '../../ui/fixtures.test.helper';
import { refusing, server } from '../designs/editing.test.helper';
import { cloth, lot, page } from './fixtures.test.helper';
import MaterialPage from './MaterialPage';

afterEach(() => vi.unstubAllGlobals());

const offcut = lot({
  id: 32,
  origin: 'OFFCUT_KEPT',
  cameFrom: 'batch 4',
  soldAs: '',
  left: { ...amount('2', 2), count: 2 },
  held: { ...amount('0', 0), count: 0 },
  width: length('22 in', '55.9 cm'),
  height: length('18 in', '45.7 cm'),
  size: { width: 22, height: 18 },
  isOld: true,
});

const shelf: Schemas['ShelfView'] = {
  on: '2026-11-25',
  onHand: amount('3 yd', 3, length('3 yd', '2.74 m')),
  worth: money(3360),
  school: 'MOVING_AVERAGE',
  lots: [lot(), offcut],
  reserved: [{ batchId: 5, part: 'WHOLE', amount: amount('1 yd', 1, length('1 yd', '0.91 m')) }],
  unplaced: amount('−5 in', -5, length('−5 in', '−12.7 cm')),
};

const movement = (more: Partial<Schemas['MovementView']>): Schemas['MovementView'] => ({
  id: 1,
  kind: 'CUT',
  part: 'WHOLE',
  change: amount('−1 yd', -1, length('−1 yd', '−0.91 m')),
  reason: '',
  movedAt: '2026-10-13T10:00:00Z',
  ...more,
});

const printed: Schemas['PrintView'] = {
  version: 1,
  repeatAcross: '',
  colour: '#336699',
  print: 'PLAIN',
  frame: { left: 0, top: 0, right: 1, bottom: 1 },
  widthMm: 1000,
  heightMm: 0,
  motifs: [],
};

function open(answers: Record<string, unknown> = {}) {
  const sent = server({
    '/api/materials/7': cloth(),
    '/api/materials/7/shelf': shelf,
    '/api/materials/7/movements': page([
      movement({ batchId: 4 }),
      movement({ id: 2, kind: 'OFFCUT_KEPT', change: { ...amount('2', 2), count: 2 } }),
    ]),
    '/api/materials/7/offers': [],
    '/api/materials/7/print': printed,
    '/api/suppliers': [],
    ...answers,
  });
  const client = new QueryClient({ defaultOptions: { queries: { retry: false, staleTime: Infinity } } });
  client.setQueryData(keys.settings, settings('INCH'));
  render(
    <QueryClientProvider client={client}>
      <MemoryRouter initialEntries={['/materials/7']}>
        <Routes>
          <Route path="/materials/:id" element={<MaterialPage />} />
        </Routes>
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return sent;
}

const region = async (name: string) => within(await screen.findByRole('region', { name }));

describe('a material', () => {
  it('says what is there, held, free and worth, and what was taken before it had been entered', async () => {
    open();
    const there = await region('On the shelf');
    expect(there.getByText('33.60')).toBeVisible();
    expect(there.getByText('moving average')).toBeVisible();
    expect(there.getByText('2 yd')).toBeVisible();
    expect(there.getByRole('link', { name: 'batch 5' })).toHaveAttribute('href', '/batches/5');
    expect(there.getByText(/More was taken than had been entered: −5 in/)).toBeVisible();
  });

  it('lists its lots with what was paid and the dye', async () => {
    open();
    const lots = await region('Lots');
    expect(lots.getByText('4 × 1/2 yd')).toBeVisible();
    expect(lots.getByText('2.23 of it postage')).toBeVisible();
    expect(lots.getByText('0412')).toBeVisible();
    expect(lots.queryByText(/22 in/)).toBeNull();
  });

  it('draws offcuts apart, each leading to what it makes', async () => {
    open();
    const pieces = await region('Offcuts and precuts');
    expect(pieces.getByRole('link', { name: '2 × 22 in by 18 in' })).toHaveAttribute(
      'href',
      '/materials/hand?material=7&lot=32',
    );
    expect(pieces.getByText('for the scrap bag?')).toBeVisible();
  });

  it('tells how it came and went', async () => {
    open();
    const movements = await region('How it came and went');
    expect(await movements.findByText(/cut for batch 4/)).toBeVisible();
    expect(movements.getByText(/\+2 pieces/)).toBeVisible();
  });

  it('keeps what is said about a lot, and tells what is wrong with it', async () => {
    const sent = open({ '/api/lots/31': shelf });
    const lots = await region('Lots');
    await userEvent.click(lots.getByRole('button', { name: 'Change the lot of 6 Oct 2026' }));
    await userEvent.type(screen.getByLabelText('Usable width as you measured it'), '42 3/4');
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    expect(sent).toContainEqual({
      path: '/api/lots/31',
      body: { version: 0, dyeLot: '0412', place: 'shelf A', measuredWidth: '42 3/4' },
    });
  });

  it('enters a piece that was found', async () => {
    const sent = open({ '/api/materials/7/pieces': shelf });
    await userEvent.click(
      (await region('Offcuts and precuts')).getByRole('button', { name: 'Enter a piece' }),
    );
    await userEvent.type(screen.getByLabelText('Across the cloth'), '12');
    await userEvent.type(screen.getByLabelText('Along the cloth'), '9 1/2');
    await userEvent.click(screen.getByLabelText('They were given to me'));
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    expect(sent.find((one) => one.path.endsWith('/pieces'))?.body).toMatchObject({
      width: '12',
      height: '9 1/2',
      count: '1',
      given: true,
    });
  });

  it('is put away, and taken back, as it was shown', async () => {
    const sent = open({ '/api/materials/7/put-away': cloth({ putAway: true }) });
    await userEvent.click((await region('Put away')).getByRole('button', { name: 'Put it away' }));
    expect(sent).toContainEqual({
      path: '/api/materials/7/put-away',
      body: { version: 3, putAway: true },
    });
  });

  it('is removed only after a question, and says why it can’t be', async () => {
    const sent = open();
    await userEvent.click((await region('Put away')).getByRole('button', { name: 'Remove it …' }));
    expect(sent.some((one) => one.path.includes('version='))).toBe(false);
    refusing('“Juniper Dot” can’t be removed: Batch 5 uses it.');
    await userEvent.click(screen.getByRole('button', { name: 'Remove it for good' }));
    expect(await screen.findByText(/Batch 5 uses it/)).toBeVisible();
  });
});
