import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { amount, money, moneyFigure, working } from '../../ui/fixtures.test.helper';
import { rendered } from '../../ui/rendered.test.helper';
import { server } from '../designs/editing.test.helper';
import BuyingPage from './BuyingPage';

afterEach(() => vi.unstubAllGlobals());

const want = (name: string, needed: number): Schemas['WantLine'] => ({
  materialId: 7,
  name,
  kind: 'NOTION',
  colour: '#888888',
  needed: amount(String(needed), needed),
  keep: amount('20', 20),
  onHand: amount('3', 3),
  toBuy: amount('37', 37),
  working: working('37'),
});

const supplier = (id: number, name: string, postage: number): Schemas['SupplierView'] => ({
  id,
  version: 0,
  name,
  postage: money(postage),
});

const near = supplier(1, 'Near', 250);
const list: Schemas['BuyingView'] = {
  shops: [
    {
      supplier: near,
      sum: money(1050),
      lines: [
        {
          key: '5',
          want: want('Ring', 20),
          soldMaterialId: 9,
          insteadName: 'Large ring',
          packs: 4,
          content: amount('10', 10),
          amount: amount('40', 40),
          each: money(200),
          price: money(800),
        },
      ],
    },
  ],
  nowhere: [want('Bell', 0)],
  total: moneyFigure(1050),
};

describe('the list of what to buy', () => {
  it('says how many packs of what, from where, for how much, and what no shop sells', async () => {
    server({ '/api/buying': list, '/api/suppliers': [near, supplier(2, 'Far', 0)] });
    rendered(<BuyingPage />);
    const shop = await screen.findByRole('region', { name: 'Near' });
    expect(shop).toHaveTextContent(
      'Ring37 wanted for batches4 × 1040, each at 2.00Large ring, to be cut down',
    );
    expect(shop).toHaveTextContent('Postage2.50');
    expect(shop).toHaveTextContent('From this shop10.50');
    expect(within(shop).getByRole('link', { name: 'All of it came from Near' })).toHaveAttribute(
      'href',
      '/materials/deliveries?shop=1',
    );
    expect(screen.getByRole('region', { name: 'No shop is known for these' })).toHaveTextContent(
      'Bell37 wanted, it is low',
    );
    const shops = screen.getByRole('region', { name: 'Shops' });
    expect(within(shops).getByRole('button', { name: /Far/ })).toHaveTextContent('no postage');
  });

  it('enters what came as a delivery of what was really sold', async () => {
    const sent = server({ '/api/buying': list, '/api/suppliers': [near], '/api/deliveries': {} });
    rendered(<BuyingPage />);
    await userEvent.click(await screen.findByRole('button', { name: '40 of Ring came' }));
    expect(sent).toContainEqual({
      path: '/api/deliveries',
      body: expect.objectContaining({
        supplierId: 1,
        total: '8.00',
        lines: [expect.objectContaining({ materialId: 9, packs: '4', content: '10', price: '8.00' })],
      }),
    });
  });

  it('says so when there is nothing to buy', async () => {
    server({ '/api/buying': { shops: [], nowhere: [], total: moneyFigure(0) }, '/api/suppliers': [] });
    rendered(<BuyingPage />);
    expect(await screen.findByText('Nothing to buy')).toBeVisible();
    expect(screen.getByText(/Enter the shops that you buy from/)).toBeVisible();
  });
});
