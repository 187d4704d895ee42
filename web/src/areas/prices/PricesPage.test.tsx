import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { rendered } from '../../ui/rendered.test.helper';
import PricesPage, { type Book } from './PricesPage';

const money = (minor: number) => ({ amount: (minor / 100).toFixed(2), minor });

const row = (design: string, price: number, perHour: number, more: Partial<Book['rows'][number]> = {}) => ({
  designId: design.charCodeAt(0),
  design,
  sort: 'pouch',
  sizeKey: 'one',
  size: '',
  cloth: 'Reed Stripe',
  cost: money(820),
  suggested: money(1150),
  price: money(price),
  own: false,
  follows: false,
  left: money(price - 820),
  perHour: money(perHour),
  below: perHour < 1500,
  reason: '',
  ...more,
});

const channel = (id: number, name: string): Schemas['ChannelView'] => ({
  id,
  terms: {
    version: 0,
    name,
    kind: 'BUYERS',
    fees: [],
    taxMode: 'NONE',
    taxRate: '0',
    unitsPerSale: '1',
    postagePaid: '0.00',
    postage: '0.00',
    packing: '0.00',
    packingMinutes: '0',
  },
  usual: id === 1,
  putAway: false,
  says: 'takes nothing',
  former: [],
});

/** A server that keeps the prices that are set. */
function prices(more: Book['rows'] = [], tax?: Book['tax']) {
  const sent: { path: string; body: unknown }[] = [];
  const book: Book = {
    channelId: 1,
    channel: 'Craft stall',
    least: money(1500),
    wanted: money(1900),
    tax,
    rows: [
      row('Heron pouch', 1150, 2300),
      row('Knot gift bag', 600, 900),
      row('Wren {wallet}', 2200, 3200),
      ...more,
    ],
  };
  vi.stubGlobal(
    'fetch',
    vi.fn(async (path: string, options?: RequestInit) => {
      if (path.startsWith('/api/settings')) return Response.json({ unitSystem: 'INCH', currency: 'EUR' });
      if (path === '/api/channels')
        return Response.json([channel(1, 'Craft stall'), channel(2, 'Online shop')]);
      if (path.startsWith('/api/prices/book')) return Response.json(book);
      const body = JSON.parse(options?.body as string) as Schemas['SetForm'] & Schemas['StepForm'];
      sent.push({ path, body });
      if (path === '/api/prices/step') {
        return Response.json(
          book.rows.slice(0, body.places.length).map((its) => ({
            place: { designId: its.designId, sizeKey: its.sizeKey, channelId: 1 },
            design: its.design,
            size: its.size,
            before: its.price,
            after: money((its.price?.minor ?? 0) + 50 * body.points),
          })),
        );
      }
      const price = body.prices[0]?.price ?? '';
      if (/[a-z]/.test(price)) {
        return Response.json(
          {
            detail: 'no',
            errors: [{ field: 'prices.0.price', read: price, sentence: `“${price}” isn’t a number.` }],
          },
          { status: 422, headers: { 'Content-Type': 'application/problem+json' } },
        );
      }
      book.rows[0] = row('Heron pouch', Number(price) * 100, 2600, { own: true });
      return Response.json(book);
    }),
  );
  return sent;
}

describe('the price book', () => {
  afterEach(() => vi.unstubAllGlobals());

  it('sets the price of another cloth by itself', async () => {
    const sent = prices([
      row('Heron pouch', 1150, 2200, { cloth: 'Kelp linen', clothId: 3, own: true, follows: true }),
    ]);
    rendered(<PricesPage />);
    const linen = await screen.findByRole('row', { name: /Kelp linen/ });
    expect(linen).toHaveTextContent('as in the usual cloth');
    expect(within(linen).getByRole('link')).toHaveAttribute(
      'href',
      expect.stringContaining('size=one&cloth=3&channel=1'),
    );
    await userEvent.click(within(linen).getByRole('button', { name: /Price of Heron pouch, in Kelp linen/ }));
    const typed = within(linen).getByRole('textbox');
    await userEvent.clear(typed);
    await userEvent.type(typed, '13,50{Enter}');
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]?.body).toEqual({
      prices: [{ place: { designId: 72, sizeKey: 'one', channelId: 1, clothId: 3 }, price: '13,50' }],
      reason: '',
    });
  });

  it('tells when the year’s sales come near the sum from which tax is due', async () => {
    prices([], { year: 2026, sold: money(1800000), threshold: money(2200000), reached: false });
    rendered(<PricesPage />);
    expect(await screen.findByText(/In 2026 you have sold for/)).toHaveTextContent(
      'In 2026 you have sold for 18000.00; from 22000.00 on you may have to ask for sales tax, which Craft stall doesn’t.',
    );
  });

  it('says which earn too little, and shows only those', async () => {
    prices();
    rendered(<PricesPage />);
    const knot = await screen.findByRole('row', { name: /Knot gift bag/ });
    expect(knot).toHaveTextContent('too little');
    await userEvent.click(screen.getByRole('checkbox', { name: /only the 1 that earn less/ }));
    expect(screen.queryByRole('row', { name: /Heron pouch/ })).not.toBeInTheDocument();
    await userEvent.type(screen.getByLabelText('Find a design'), 'wallet');
    expect(screen.getByText('Nothing found.')).toBeVisible();
  });

  it('puts what earns most an hour first, and the other way round', async () => {
    prices();
    rendered(<PricesPage />);
    await screen.findByRole('row', { name: /Knot gift bag/ });
    const names = () =>
      within(screen.getByRole('table'))
        .getAllByRole('link')
        .map((link) => link.textContent);
    await userEvent.click(screen.getByRole('button', { name: /An hour/ }));
    expect(names()).toEqual(['Wren {wallet}', 'Heron pouch', 'Knot gift bag']);
    await userEvent.click(screen.getByRole('button', { name: /An hour/ }));
    expect(names()).toEqual(['Knot gift bag', 'Heron pouch', 'Wren {wallet}']);
  });

  it('takes a price key by key, refuses what is none at its place, and leaves it on Escape', async () => {
    const sent = prices();
    rendered(<PricesPage />);
    await userEvent.click(
      await screen.findByRole('button', { name: /Price of Heron pouch: 11.50, calculated/ }),
    );
    await userEvent.type(screen.getByLabelText('Price of Heron pouch'), 'abc{Enter}');
    expect(await screen.findByRole('alert')).toHaveTextContent('“abc” isn’t a number.');
    await userEvent.type(
      screen.getByLabelText('Price of Heron pouch'),
      '{Backspace}{Backspace}{Backspace}133{Backspace}{Enter}',
    );
    expect(await screen.findByRole('button', { name: /Price of Heron pouch: 13.00, set/ })).toBeVisible();
    expect(sent.at(-1)?.body).toMatchObject({ prices: [{ price: '13' }] });
    const times = sent.length;
    await userEvent.click(screen.getByRole('button', { name: /Price of Knot gift bag/ }));
    await userEvent.type(screen.getByLabelText('Price of Knot gift bag'), '99{Escape}');
    expect(screen.queryByLabelText('Price of Knot gift bag')).not.toBeInTheDocument();
    expect(sent).toHaveLength(times);
  });

  it('shows what several prices become before it sets them', async () => {
    const sent = prices();
    rendered(<PricesPage />);
    await userEvent.click(await screen.findByRole('checkbox', { name: 'Choose Heron pouch' }));
    await userEvent.click(screen.getByRole('checkbox', { name: 'Choose Knot gift bag' }));
    await userEvent.click(screen.getByRole('button', { name: 'Change 2 together' }));
    const panel = await screen.findByRole('dialog');
    expect(await within(panel).findByText('12.00')).toBeVisible();
    await userEvent.click(within(panel).getByRole('button', { name: 'One price point more' }));
    expect(await within(panel).findByText('12.50')).toBeVisible();
    await userEvent.type(within(panel).getByLabelText('Why'), 'dearer {{zips}');
    await userEvent.click(within(panel).getByRole('button', { name: 'Set these prices' }));
    await waitFor(() =>
      expect(sent.map((one) => one.body)).toContainEqual(
        expect.objectContaining({
          prices: [expect.objectContaining({ price: '12.50' }), expect.objectContaining({ price: '7.00' })],
          reason: 'dearer {zips}',
        }),
      ),
    );
    await waitFor(() => expect(screen.queryByRole('dialog')).not.toBeInTheDocument());
  });
});
