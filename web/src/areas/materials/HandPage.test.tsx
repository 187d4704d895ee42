import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render, screen, within } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { afterEach, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { keys } from '../../api/queries';
import { amount, length, money, settings } from '../../ui/fixtures.test.helper';
import { server } from '../designs/editing.test.helper';
import { cloth, page } from './fixtures.test.helper';
import HandPage from './HandPage';

afterEach(() => vi.unstubAllGlobals());

const makeable = (more: Partial<Schemas['MakeableView']> = {}): Schemas['MakeableView'] => ({
  designId: 2,
  designName: 'Tern tote',
  sizeName: 'large size',
  slot: 'body',
  slotLabel: 'Body cloth',
  units: 6,
  takes: amount('2 yd', 2, length('2 yd', '1.83 m')),
  others: [
    {
      materialId: 9,
      name: 'Webbing',
      amount: amount('4 yd', 4, length('4 yd', '3.66 m')),
      shortBy: amount('1 yd', 1, length('1 yd', '0.91 m')),
    },
  ],
  price: money(4150),
  perHour: money(3292),
  ...more,
});

function open(path: string, hand: Partial<Schemas['HandView']>) {
  server({
    '/api/materials': page([cloth()]),
    '/api/in-hand': {
      material: cloth(),
      amount: amount('2 yd', 2, length('2 yd', '1.83 m')),
      makeable: [],
      tooSmall: [],
      ...hand,
    },
  });
  const client = new QueryClient({ defaultOptions: { queries: { retry: false, staleTime: Infinity } } });
  client.setQueryData(keys.settings, settings('INCH'));
  render(
    <QueryClientProvider client={client}>
      <MemoryRouter initialEntries={[path]}>
        <HandPage />
      </MemoryRouter>
    </QueryClientProvider>,
  );
}

describe('from what is in the hand', () => {
  it('says how many can be made, what that leaves for an hour, and what else is short', async () => {
    open('/materials/hand?material=7', { makeable: [makeable()], tooSmall: ['Curlew, as outer'] });
    const item = within((await screen.findByText('can be made')).closest('li') as HTMLElement);
    expect(item.getByText('6')).toBeVisible();
    expect(item.getByText('32.92')).toBeVisible();
    expect(item.getByText('1 yd short')).toBeInTheDocument();
    expect(screen.getByText('Too little of it for: Curlew, as outer.')).toBeVisible();
  });

  it('leads to a batch that is filled from the hand', async () => {
    open('/materials/hand?material=7&lot=3', {
      lotId: 3,
      amount: { ...amount('2', 2), count: 2 },
      width: length('22 in', '55.9 cm'),
      height: length('18 in', '45.7 cm'),
      size: { width: 22, height: 18 },
      makeable: [makeable()],
    });
    expect(await screen.findByText('each 22 in by 18 in')).toBeVisible();
    expect(screen.getByRole('link', { name: 'Plan it' })).toHaveAttribute(
      'href',
      '/batches/new?design=2&size=large%20size&units=6&slot=body&material=7&lot=3',
    );
  });

  it('says so when nothing can be made, and when something has to be chosen first', async () => {
    open('/materials/hand?material=7', {
      makeable: [makeable({ price: undefined, perHour: undefined, missing: 'Nothing is chosen for “zip”.' })],
    });
    expect(await screen.findByText('Nothing is chosen for “zip”.')).toBeVisible();
    expect(screen.getByText('–')).toBeVisible();
  });

  it('says that there is too little', async () => {
    open('/materials/hand?material=7', { tooSmall: ['Curlew, as outer'] });
    expect(await screen.findByText(/there is too little of it: Curlew, as outer/)).toBeVisible();
  });
});
