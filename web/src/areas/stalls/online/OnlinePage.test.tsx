import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../../../api/client';
import { money } from '../../../ui/fixtures.test.helper';
import { rendered } from '../../../ui/rendered.test.helper';
import { server } from '../../designs/editing.test.helper';
import OnlinePage from './OnlinePage';

const order = (more: Partial<Schemas['ShopOrderView']> = {}): Schemas['ShopOrderView'] => ({
  id: 3,
  version: 1,
  number: 'S-1001',
  state: 'RESERVED',
  buyer: { name: 'Ilse Marrow', reach: 'ilse@post.invalid', address: ['Ilse Marrow', '4 Tollgate Row'] },
  lines: [{ words: 'Heron pouch, small', units: 2, price: money(1600), missing: 0 }],
  postage: money(450),
  paid: money(3650),
  postBy: '2026-05-03',
  late: true,
  forWhat: 'Online order S-1001',
  wantsBack: '',
  cameBack: '',
  stillPaid: money(3650),
  refundTold: true,
  paidOut: false,
  ...more,
});

const shop = (more: Partial<Schemas['OnlineShopView']> = {}): Schemas['OnlineShopView'] => ({
  connected: true,
  trouble: '',
  listings: [
    { kind: 'k1', words: 'Heron pouch, small', price: money(1600), offered: true, there: 4, told: 3 },
    { kind: 'k2', words: 'Owl tote', offered: false, there: 1 },
  ],
  open: [order()],
  unpaid: [],
  ...more,
});

const simulated = { away: false, tellsTwice: false, untold: 0, orders: 1, offers: [] };

const page = <T,>(items: T[], total = items.length) => ({ items, page: 0, size: 50, total });

const shown = (
  view: Schemas['OnlineShopView'],
  answered: Schemas['ShopOrderView'][] = [],
  payouts: Schemas['PayoutView'][] = [],
) =>
  server({
    '/api/online-shop': view,
    '/api/online-shop/orders': page(answered),
    '/api/online-shop/payouts': page(payouts),
    '/api/channels': [],
    '/api/simulated/online-shop': simulated,
    '/api/online-shop/orders/3/posted': view,
    '/api/online-shop/orders/3/buyers-bags': [
      { kind: 'k1', words: 'Heron pouch, small', units: 2 },
      { kind: 'k2', words: 'Owl tote', units: 1 },
    ],
    '/api/online-shop/orders/3/came-back': view,
    '/api/online-shop/listings': view,
  });

afterEach(() => vi.unstubAllGlobals());

describe('the online shop', () => {
  it('lists what should have been paid out by now', async () => {
    shown(shop({ unpaid: [order({ id: 9, number: 'S-0990', state: 'ARRIVED', postedOn: '2026-04-02' })] }));
    rendered(<OnlinePage />);
    const unpaid = within(await screen.findByRole('region', { name: 'Not paid out' }));
    expect(unpaid.getByRole('row', { name: /S-0990 2 Apr 2026/ })).toBeVisible();
  });

  it('shows whom an order goes to and by when, and posts it', async () => {
    const sent = shown(shop());
    rendered(<OnlinePage />);
    const card = within(await screen.findByRole('article', { name: 'Order S-1001' }));
    expect(card.getByText('4 Tollgate Row')).toBeVisible();
    expect(card.getByText(/late: post by/)).toBeVisible();
    await userEvent.click(card.getByRole('button', { name: 'S-1001 is posted' }));
    expect(sent.find((one) => one.body)?.body).toEqual({ version: 1 });
  });

  it('can’t post what is missing', async () => {
    shown(
      shop({
        open: [
          order({
            state: 'SHORT',
            lines: [{ words: 'Heron pouch', units: 2, price: money(1600), missing: 1 }],
          }),
        ],
      }),
    );
    rendered(<OnlinePage />);
    expect(await screen.findByText('· 1 missing')).toBeVisible();
    expect(screen.getByRole('button', { name: 'S-1001 is posted' })).toBeDisabled();
  });

  it('begins a batch of what is missing, or names the one that is made for it', async () => {
    const lacking = {
      words: 'Heron pouch',
      units: 2,
      price: money(1600),
      missing: 1,
      toMake: { designId: 7, sizeName: 'small & flat', slot: 'outer', materialId: 5 },
    };
    shown(
      shop({
        open: [
          order({ state: 'SHORT', lines: [lacking], late: false }),
          order({
            id: 4,
            number: 'S-1002',
            state: 'SHORT',
            lines: [
              { ...lacking, toMake: undefined, batchId: 12 },
              { ...lacking, words: 'Owl tote' },
            ],
          }),
        ],
      }),
    );
    rendered(<OnlinePage />);
    const first = within(await screen.findByRole('article', { name: 'Order S-1001' }));
    const begun = new URL(
      first.getByRole('link', { name: 'Make 1' }).getAttribute('href') ?? '',
      'http://here',
    );
    expect(Object.fromEntries(begun.searchParams)).toEqual({
      design: '7',
      size: 'small & flat',
      slot: 'outer',
      material: '5',
      units: '1',
      due: '2026-05-03',
      for: 'Online order S-1001',
    });
    const second = within(screen.getByRole('article', { name: 'Order S-1002' }));
    expect(second.getByRole('link', { name: 'batch 12' })).toHaveAttribute('href', '/batches/12');
    expect(second.getAllByRole('link', { name: 'Make 1' }), 'of the other bags only').toHaveLength(1);
  });

  it('names what of a payout doesn’t match', async () => {
    const line = { order: 'S-1001', paid: money(3650), fee: money(437), off: money(-40), with: [] };
    shown(
      shop(),
      [],
      [
        {
          id: 1,
          name: 'P-1',
          paidAt: '2026-05-01T10:00:00Z',
          total: money(3213),
          off: money(-100),
          clean: false,
          lines: [
            { ...line, finding: 'OTHER_FEE' },
            { ...line, finding: 'PAID_BEFORE' },
            { ...line, finding: 'MATCHES', with: ['advertised'] },
            { ...line, paid: money(-1600), fee: money(-100), off: money(-52), finding: 'OTHER_FEE' },
            { ...line, paid: money(-1700), off: money(-100), finding: 'OTHER_PAYMENT' },
            { ...line, paid: money(-900), finding: 'NOTHING_PAID_BACK' },
            { ...line, paid: money(-800), finding: 'PAID_BEFORE' },
          ],
        },
      ],
    );
    rendered(<OnlinePage />);
    const paid = within(await screen.findByRole('region', { name: 'Paid out' }));
    expect(paid.getByText('doesn’t match')).toBeVisible();
    expect(paid.getByText('It is 1.00 less than its own lines.')).toBeVisible();
    expect(paid.getByText('fee 0.40 too high')).toBeVisible();
    expect(paid.getByText('was paid out before')).toBeVisible();
    expect(paid.getByText('with advertised')).toBeVisible();
    expect(paid.getAllByText('paid back')).toHaveLength(4);
    expect(paid.getByText('0.52 too little of the fee given back')).toBeVisible();
    expect(paid.getByText('1.00 too much paid back')).toBeVisible();
    expect(paid.getByText('nothing was paid back for it')).toBeVisible();
    expect(paid.getByText('was taken back before')).toBeVisible();
  });

  it('offers bags at a price that is typed', async () => {
    const sent = shown(shop());
    rendered(<OnlinePage />);
    const price = await screen.findByLabelText('Price of Owl tote');
    await userEvent.type(price, '28');
    expect(sent.filter((one) => one.body)).toHaveLength(0);
    await userEvent.click(screen.getByRole('checkbox', { name: /^Owl tote/ }));
    expect(sent.find((one) => one.body)?.body).toEqual({ kind: 'k2', price: '28', offered: true });
  });

  const answered = (more: Partial<Schemas['ShopOrderView']>) => [
    order({ state: 'POSTED', postBy: undefined, late: false, ...more }),
  ];

  it('finds orders of long ago by what is typed, and shows more of them when asked', async () => {
    const sent = server({
      '/api/online-shop': shop({ open: [] }),
      '/api/channels': [],
      '/api/simulated/online-shop': simulated,
      '/api/online-shop/orders': page(answered({}), 120),
      '/api/online-shop/payouts': page([]),
    });
    rendered(<OnlinePage />);
    const before = within(await screen.findByRole('region', { name: 'Orders before' }));
    expect(before.getByText('1 of 120')).toBeVisible();
    await userEvent.click(before.getByRole('button', { name: 'Show more' }));
    await vi.waitFor(() =>
      expect(sent.map(({ path }) => path)).toContain('/api/online-shop/orders?size=20&query=&page=1'),
    );
    await userEvent.type(before.getByLabelText('Find orders'), 'Çelk{Backspace}ik &');
    await vi.waitFor(() =>
      expect(sent.map(({ path }) => path)).toContain(
        '/api/online-shop/orders?size=20&query=%C3%87elik%20%26&page=0',
      ),
    );
    expect(before.getByLabelText('Find orders')).toHaveValue('Çelik &');
  });

  it('takes back one of the bags, with the reason that the buyer gave and what is paid back', async () => {
    const sent = shown(shop({ open: [] }), answered({ wantsBack: 'too small' }));
    rendered(<OnlinePage />);
    await userEvent.click(await screen.findByRole('button', { name: 'S-1001 came back' }));
    const panel = within(await screen.findByRole('dialog', { name: 'Bags of order S-1001 came back' }));
    expect(await panel.findByLabelText('Why')).toHaveValue('too small');
    await userEvent.type(panel.getByLabelText('How many of Owl tote'), '2{Backspace}1');
    await userEvent.selectOptions(panel.getByLabelText('What became of them'), 'scrapped');
    await userEvent.type(panel.getByLabelText(/^Money given back/), '16,5{Backspace}{Backspace}.50');
    await userEvent.click(panel.getByRole('button', { name: 'Book it' }));
    expect(sent.find((one) => one.body)?.body).toMatchObject({
      version: 1,
      ended: 'SCRAPPED',
      reason: 'too small',
      refund: '16.50',
      bags: [
        { kind: 'k1', units: '' },
        { kind: 'k2', units: '1' },
      ],
    });
  });

  it('knows how many came back where there was one bag only', async () => {
    server({
      '/api/online-shop': shop({ open: [] }),
      '/api/online-shop/orders': page(answered({})),
      '/api/online-shop/payouts': page([]),
      '/api/channels': [],
      '/api/simulated/online-shop': simulated,
      '/api/online-shop/orders/3/buyers-bags': [{ kind: 'k1', words: 'Heron pouch, small', units: 1 }],
    });
    rendered(<OnlinePage />);
    await userEvent.click(await screen.findByRole('button', { name: 'S-1001 came back' }));
    expect(await screen.findByLabelText('How many of Heron pouch, small')).toHaveValue('1');
  });

  it('says what was paid back, and that the shop doesn’t know of it yet', async () => {
    shown(shop({ open: [] }), answered({ refunded: money(1600), refundTold: false, stillPaid: money(2050) }));
    rendered(<OnlinePage />);
    const row = within(await screen.findByRole('row', { name: /S-1001/ }));
    expect(row.getByText(/16.00 given back/)).toBeVisible();
    expect(row.getByText('the shop isn’t told yet')).toBeVisible();
    await userEvent.click(row.getByRole('button', { name: 'S-1001 came back' }));
    expect(await screen.findByText(/^of 20.50; empty for nothing/)).toBeVisible();
  });

  it('says so while nobody looks after it', async () => {
    shown(shop({ connected: false, open: [] }));
    rendered(<OnlinePage />);
    expect(await screen.findByText('The shop isn’t connected')).toBeVisible();
    expect(screen.queryByRole('region', { name: 'To be posted' })).toBeNull();
  });
});
