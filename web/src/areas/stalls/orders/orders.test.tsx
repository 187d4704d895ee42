import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../../../api/client';
import { money, server } from '../../../ui/fixtures.test.helper';
import { rendered } from '../../../ui/rendered.test.helper';
import OrderPage from './OrderPage';
import OrdersPage from './OrdersPage';

const order: Schemas['CustomerOrderView'] = {
  id: 3,
  version: 2,
  quoteId: 7,
  quoteNumber: 1,
  state: 'AGREED',
  who: 'Ida {ç}',
  reach: 'ida@example.org',
  lines: ['6 × Heron pouch, small in Reed Stripe: no zip pull'],
  units: 6,
  made: 6,
  total: money(9900),
  deposit: money(2970),
  rest: money(6930),
  depositPaidOn: '2026-11-20',
  depositKept: false,
  agreedOn: '2026-11-18',
  dueOn: '2026-12-04',
  isLate: false,
  reason: '',
  forgotten: false,
  batchId: 12,
  atHome: 6,
  putAside: 0,
  notes: [{ id: 'a1', writtenOn: '2026-11-21', text: 'Wants them before Friday.' }],
};

const bags: Schemas['HandOverBags'][] = [
  {
    kind: '1/s1/4/GOOD',
    words: 'Heron pouch, small, Reed Stripe',
    place: 'home',
    units: 7,
    own: true,
    proposed: 6,
  },
  {
    kind: '1/s1/4/SECOND',
    words: 'Heron pouch, small, second',
    place: 'home',
    units: 1,
    own: true,
    proposed: 0,
  },
  { kind: '2/s1/4/GOOD', words: 'Tern tote', place: 'home', units: 3, own: false, proposed: 0 },
];

function opened(answers: Record<string, unknown> = {}, shown = order) {
  const sent = server({ '/api/orders/3/bags': bags, '/api/orders/3': shown, ...answers });
  rendered(<OrderPage />, 'INCH', undefined, { path: '/stalls/orders/3', route: '/stalls/orders/:id' });
  return sent;
}

describe('a private order', () => {
  it('is handed over with as many of its own bags as were ordered, and what is paid', async () => {
    const sent = opened({ '/api/orders/3/hand-over': order });
    expect(await screen.findByText('69.30')).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Hand over' }));
    const panel = within(await screen.findByRole('dialog'));
    const own = await panel.findByLabelText('Heron pouch, small, Reed Stripe');
    expect(own).toHaveValue('6');
    expect(panel.getByLabelText('Heron pouch, small, second')).toHaveValue('');
    expect(panel.queryByLabelText('Tern tote')).toBeNull();
    await userEvent.click(panel.getByRole('button', { name: 'Other bags, too' }));
    await userEvent.type(panel.getByLabelText('Tern tote'), '1');
    await userEvent.clear(panel.getByLabelText('Paid for all of it'));
    await userEvent.type(panel.getByLabelText('Paid for all of it'), '120');
    await userEvent.selectOptions(panel.getByLabelText('How'), 'by card');
    await userEvent.click(panel.getByRole('button', { name: 'Hand over' }));
    expect(sent.find(({ path }) => path.endsWith('/hand-over'))?.body).toMatchObject({
      version: 2,
      place: 'home',
      paid: '120',
      tender: 'CARD',
      bags: [
        { kind: '1/s1/4/GOOD', units: '6' },
        { kind: '1/s1/4/SECOND', units: '' },
        { kind: '2/s1/4/GOOD', units: '1' },
      ],
    });
  });

  it('can be cancelled with its deposit kept', async () => {
    const sent = opened({ '/api/orders/3/cancel': order });
    await userEvent.click(await screen.findByRole('button', { name: 'Cancel the order' }));
    const panel = within(await screen.findByRole('dialog'));
    await userEvent.type(panel.getByLabelText('Why, as far as you know'), 'moved away');
    await userEvent.click(panel.getByLabelText('I keep the deposit of 29.70'));
    await userEvent.click(panel.getByRole('button', { name: 'Cancel the order' }));
    expect(sent.find(({ path }) => path.endsWith('/cancel'))?.body).toEqual({
      version: 2,
      reason: 'moved away',
      keepsDeposit: true,
    });
  });

  it('keeps what was said, and forgets its customer only once it is closed', async () => {
    const sent = opened({ '/api/orders/3/notes': order });
    expect(await screen.findByText('Wants them before Friday.')).toBeVisible();
    expect(screen.queryByRole('button', { name: 'Forget who ordered …' })).toBeNull();
    await userEvent.type(screen.getByLabelText('A message, a call, a wish'), 'Rang agaim{Backspace}n.');
    await userEvent.click(screen.getByRole('button', { name: 'Note it' }));
    expect(sent.find(({ path }) => path.endsWith('/notes'))?.body).toMatchObject({ text: 'Rang again.' });
    expect(screen.getByLabelText('A message, a call, a wish')).toHaveValue('');
  });

  it('takes back what came back, with why and what was given back', async () => {
    const sent = opened(
      {
        '/api/orders/3/customers-bags': [{ kind: '1/s1/4/GOOD', words: 'Heron pouch', units: 6 }],
        '/api/orders/3/came-back': { ...order, state: 'HANDED_OVER', closedOn: '2026-11-25' },
      },
      { ...order, state: 'HANDED_OVER', closedOn: '2026-11-25', paid: money(9900), tender: 'CASH' },
    );
    await userEvent.click(await screen.findByRole('button', { name: 'Something came back' }));
    const panel = within(await screen.findByRole('dialog'));
    await userEvent.type(await panel.findByLabelText('How many of Heron pouch'), '22{Backspace}');
    await userEvent.selectOptions(panel.getByLabelText('What became of them'), 'among the seconds');
    await userEvent.type(panel.getByLabelText('Why'), 'the zip came out');
    await userEvent.type(panel.getByLabelText('Money given back'), '33');
    await userEvent.click(panel.getByRole('button', { name: 'Book it' }));
    await vi.waitFor(() =>
      expect(sent.find(({ path }) => path.endsWith('/came-back'))?.body).toMatchObject({
        version: 2,
        ended: 'SECONDS',
        reason: 'the zip came out',
        refund: '33',
        bags: [{ kind: '1/s1/4/GOOD', units: '2' }],
      }),
    );
  });

  it('forgets the customer of a closed one', async () => {
    const sent = opened(
      { '/api/quotes/7/forget': {}, '/api/quotes/7': { form: { version: 5 } } },
      { ...order, state: 'HANDED_OVER', closedOn: '2026-11-25', paid: money(9900), tender: 'CASH' },
    );
    await userEvent.click(await screen.findByRole('button', { name: 'Forget who ordered …' }));
    await userEvent.click(within(await screen.findByRole('dialog')).getByRole('button', { name: 'Forget' }));
    await vi.waitFor(() =>
      expect(sent.find(({ path }) => path.endsWith('/forget'))?.body).toEqual({ version: 5 }),
    );
  });
});

describe('the private orders', () => {
  it('show what is late, and how far each is', async () => {
    const row = { id: 3, state: 'AGREED', who: 'Ida', lines: ['6 × Heron'], units: 6, total: money(9900) };
    const sent = server({
      '/api/orders': {
        open: [
          { ...row, made: 2, dueOn: '2026-11-20', isLate: true },
          { ...row, id: 4, made: 0, isLate: false },
        ],
        closed: {
          items: [
            { ...row, id: 2, who: '', made: 0, state: 'HANDED_OVER', isLate: false, closedOn: '2026-11-02' },
          ],
          page: 0,
          size: 50,
          total: 1,
        },
      },
    });
    rendered(<OrdersPage />);
    expect(await screen.findByText(/late: was due/)).toBeVisible();
    expect(screen.getByText('2 of 6 made')).toBeVisible();
    expect(screen.getByText('to be made')).toBeVisible();
    expect(
      within(screen.getByRole('region', { name: 'Closed orders' })).getByText('forgotten'),
    ).toBeVisible();
    await userEvent.type(screen.getByLabelText('Find orders'), 'Ids{Backspace}a');
    await vi.waitFor(() => expect(sent.map(({ path }) => path)).toContain('/api/orders?query=Ida&page=0'));
  });
});
