import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { vi } from 'vitest';
import { rendered } from '../../ui/rendered.test.helper';
import type { Sheet } from './curve';
import PriceSheetPage from './PriceSheetPage';

const money = (minor: number) => ({ amount: (minor / 100).toFixed(2), minor });
const figure = (minor: number) => ({
  value: money(minor),
  working: { rule: 'So.', expression: '', calculation: '', result: '', inputs: [], schools: [] },
});

const sheet: Sheet = {
  designId: 1,
  design: 'Heron pouch',
  sizeKey: 'm',
  size: 'medium',
  cloth: 'Reed Stripe',
  channelId: 1,
  channel: 'Craft stall',
  units: 12,
  time: { text: '12 min', seconds: 720 },
  cost: figure(820),
  parts: [
    { name: 'Reed Stripe', cost: figure(400) },
    { name: 'labour', cost: figure(400) },
    { name: 'overheads', cost: figure(20) },
  ],
  schools: [
    {
      school: 'MARKUP',
      words: 'full cost and a markup',
      usual: true,
      price: money(1150),
      taken: money(0),
      left: money(330),
      perHour: money(3650),
    },
  ],
  curve: Array.from({ length: 31 }, (_, i) => ({
    price: money(i * 50),
    buyerPays: money(i * 50),
    lines: [{ name: 'card', amount: money(i) }],
    left: money(i * 50 - i - 820),
    perHour: money((i * 50 - i - 420) * 5),
    many: i > 10 ? (i / 10).toFixed(1) : '',
  })),
  breakEven: money(850),
  atLeast: money(750),
  atWanted: money(850),
  least: money(1500),
  wanted: money(2000),
  suggested: money(1150),
  anHour: [{ many: 5, price: money(750), mine: true }],
  history: [],
  seen: [],
  sold: [],
};

describe('the price sheet', () => {
  afterEach(() => vi.unstubAllGlobals());

  const open = async (answer: Response = Response.json(sheet)) => {
    const sent: unknown[] = [];
    vi.stubGlobal(
      'fetch',
      vi.fn(async (path: string, options?: RequestInit) => {
        if (path.startsWith('/api/channels')) return Response.json([]);
        if (path.startsWith('/api/prices/sheet')) return answer.clone();
        if (path.startsWith('/api/prices/what-if')) {
          const asked = new URLSearchParams(path.split('?')[1]);
          const side = (cost: number) => ({
            units: 12,
            cost: money(cost),
            price: money(1150),
            left: money(1150 - cost),
          });
          return asked.get('material') === 'much'
            ? Response.json(
                {
                  detail: '',
                  errors: [{ field: 'material', read: 'much', sentence: '“much” isn’t a number.' }],
                },
                { status: 422, headers: { 'Content-Type': 'application/problem+json' } },
              )
            : Response.json({
                changed: [`dearer by ${asked.get('material')}`],
                now: side(820),
                then: side(868),
              });
        }
        sent.push(JSON.parse(options?.body as string));
        return Response.json({});
      }),
    );
    rendered(<PriceSheetPage />, 'INCH', undefined, {
      path: '/prices/sheet?design=1&size=m',
      route: '/prices/sheet',
    });
    return sent;
  };

  it('moves everything with the price, by keys too', async () => {
    await open();
    const slider = await screen.findByRole('slider', { name: 'Price' });
    expect(slider).toHaveAttribute('aria-valuetext', '11.50, 35.35 for an hour');
    slider.focus();
    await userEvent.keyboard('{ArrowLeft}{ArrowLeft}');
    expect(slider).toHaveAttribute('aria-valuenow', '10.5');
    expect(screen.getByRole('complementary', { name: 'At this price' })).toHaveTextContent('10.50');
    await userEvent.keyboard('{Home}');
    expect(screen.getByText(/However many you make in an hour/)).toBeVisible();
    await userEvent.keyboard('{PageUp}{ArrowDown}');
    expect(slider).toHaveAttribute('aria-valuenow', '4.5');
    await userEvent.click(screen.getByRole('button', { name: /full cost and a markup/ }));
    expect(slider).toHaveAttribute('aria-valuenow', '11.5');
    await userEvent.click(screen.getByRole('button', { name: '7.50' }));
    expect(slider).toHaveAttribute('aria-valuenow', '7.5');
  });

  it('shows on the tape how many were sold at a price', async () => {
    const sold = [{ price: money(1150), units: 12, last: '2026-11-02' }];
    await open(Response.json({ ...sheet, sold }));
    expect(await screen.findByText('12 sold at 11.50')).toBeInTheDocument();
    expect(screen.getByText(/sold here in two years: 12 at 11.50\./)).toBeVisible();
  });

  it('sets the price that is looked at, or the one that is typed, with its reason', async () => {
    const sent = await open();
    await userEvent.type(await screen.findByLabelText('Why'), 'as others do');
    await userEvent.clear(screen.getByLabelText('Set'));
    await userEvent.type(screen.getByLabelText('Set'), '122{Backspace},50');
    await userEvent.click(screen.getByRole('button', { name: 'Set this price' }));
    await waitFor(() =>
      expect(sent).toEqual([
        {
          prices: [{ place: { designId: 1, sizeKey: 'm', channelId: 1 }, price: '12,50' }],
          reason: 'as others do',
        },
      ]),
    );
  });

  it('tells beside each other how it is and how it would be', async () => {
    const sent = await open();
    const dearer = await screen.findByLabelText('material dearer by (%)');
    await userEvent.type(dearer, '122{Backspace}');
    expect(await screen.findByText(/dearer by 12; nothing of it is kept/)).toBeVisible();
    expect(screen.getByRole('row', { name: /as it is 8.20/ })).toBeVisible();
    expect(screen.getByRole('row', { name: /so 8.68/ })).toBeVisible();
    await userEvent.clear(dearer);
    await userEvent.type(dearer, 'much');
    expect(await screen.findByText('“much” isn’t a number.')).toBeVisible();
    expect(sent).toEqual([]);
  });

  it('says why there is none', async () => {
    await open(
      Response.json(
        { detail: '“Heron pouch” has no cost yet: something is missing.' },
        { status: 422, headers: { 'Content-Type': 'application/problem+json' } },
      ),
    );
    expect(await screen.findByText(/has no cost yet/)).toBeVisible();
    expect(screen.getByRole('link', { name: 'Back to the book' })).toBeVisible();
  });
});
