import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { afterEach, beforeEach, vi } from 'vitest';
import { keys } from '../../api/queries';
import { amount, money, settings, working } from '../../ui/fixtures.test.helper';
import { server } from '../designs/editing.test.helper';
import DeliveriesPage from './DeliveriesPage';
import { cloth, notion, page } from './fixtures.test.helper';

beforeEach(() => sessionStorage.clear());
afterEach(() => vi.unstubAllGlobals());

const near = { id: 1, version: 0, name: 'Near', postage: money(250) };
const answers = {
  '/api/suppliers': [near],
  '/api/materials': page([cloth(), notion()]),
  '/api/buying': {
    shops: [
      {
        supplier: near,
        sum: money(1050),
        lines: [
          {
            key: '5',
            want: { name: 'Snap', working: working('4') },
            soldMaterialId: 8,
            packs: 4,
            content: amount('10', 10),
            amount: amount('40', 40),
            each: money(200),
            price: money(800),
          },
        ],
      },
    ],
    nowhere: [],
    total: { value: money(1050), working: working('10.50') },
  },
  '/api/deliveries/sum': { sum: money(1050), difference: money(-100), shares: [money(250)] },
  '/api/deliveries': page([]),
};

function open(path: string) {
  const sent = server(answers);
  const client = new QueryClient({ defaultOptions: { queries: { retry: false, staleTime: Infinity } } });
  client.setQueryData(keys.settings, settings('INCH'));
  client.setQueryData(keys.today, { today: '2026-05-04' });
  render(
    <QueryClientProvider client={client}>
      <MemoryRouter initialEntries={[path]}>
        <DeliveriesPage />
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return sent;
}

describe('something that came', () => {
  it('begins with what was to be bought in the shop, and is sent as one paper', async () => {
    const sent = open('/materials/deliveries?shop=1');
    expect(await screen.findByLabelText('Packs')).toHaveValue('4');
    expect(screen.getByLabelText('Came on')).toHaveValue('2026-05-04');
    expect(screen.getByLabelText('each holds')).toHaveValue('10');
    expect(screen.getByLabelText(/The paper says/)).toHaveValue('10.50');
    expect(await screen.findByText('+ 2.50')).toBeVisible();
    expect(screen.getByText('1.00 too many.')).toBeVisible();
    await userEvent.type(screen.getByLabelText('Number of the paper'), 'R-7');
    await userEvent.click(screen.getByRole('button', { name: 'Put it on the shelf' }));
    expect(sent.filter((one) => one.path === '/api/deliveries' && one.body)).toMatchObject([
      { body: { supplierId: 1, paperNumber: 'R-7', lines: [{ materialId: 8, packs: '4', price: '8.00' }] } },
    ]);
  });

  it('has as many lines as the paper, and keeps at least one', async () => {
    open('/materials/deliveries');
    await userEvent.click(await screen.findByRole('button', { name: 'Add a line' }));
    expect(screen.getAllByLabelText('Packs')).toHaveLength(2);
    await userEvent.click(screen.getByRole('button', { name: 'Remove line 1' }));
    expect(screen.getAllByLabelText('Packs')).toHaveLength(1);
    expect(screen.getByRole('button', { name: 'Remove line 1' })).toBeDisabled();
  });
});
