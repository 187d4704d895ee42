import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../../../api/client';
import { amount, length, money, server } from '../../../ui/fixtures.test.helper';
import { rendered } from '../../../ui/rendered.test.helper';
import { ParcelPart } from '../online/ParcelPart';
import PostingPage from './PostingPage';

const posting: Schemas['PostingForm'] = {
  version: 3,
  sender: 'Sandpiper Bags',
  packing: '30 g',
  pressCard: 'Press it.',
  unironedCard: 'No iron.',
  rates: [
    { zone: 'Home', name: 'letter', most: '500 g', longest: '', middle: '', shortest: '3 cm', price: '1.60' },
  ],
};

const weights: Schemas['BagWeight'][] = [
  {
    designId: 1,
    sizeKey: 's1',
    name: 'Heron pouch, small',
    weight: '90 g',
    thick: '3 cm',
    usuallyThick: length('≈ 25/32 in', '2 cm'),
  },
  {
    designId: 2,
    sizeKey: 's1',
    name: 'Tern tote',
    weight: '',
    thick: '',
    usuallyThick: length('≈ 25/32 in', '2 cm'),
  },
];

beforeEach(() => sessionStorage.clear());

describe('posting', () => {
  it('keeps the table as it is typed, row by row', async () => {
    const sent = server({ '/api/posting/weights': weights, '/api/posting': posting });
    rendered(<PostingPage />);
    await userEvent.click(await screen.findByRole('button', { name: 'Add a row' }));
    expect(screen.getByLabelText('Zone, row 2')).toHaveValue('Home');
    await userEvent.type(screen.getByLabelText('Called, row 2'), 'packett{Backspace}');
    await userEvent.type(screen.getByLabelText('Up to, row 2'), '2 kg');
    await userEvent.click(screen.getByRole('button', { name: 'Remove row 1' }));
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    expect(sent.find(({ body }) => body)?.body).toMatchObject({
      version: 3,
      rates: [{ zone: 'Home', name: 'packet', most: '2 kg', shortest: '' }],
    });
  });

  it('saves what a bag weighs when its row is left', async () => {
    const sent = server({ '/api/posting/weights': weights, '/api/posting': posting });
    rendered(<PostingPage />);
    await userEvent.type(await screen.findByLabelText('Thickness of Tern tote'), '3');
    await userEvent.tab();
    expect(sent.some(({ body }) => body)).toBe(false);
    await userEvent.type(screen.getByLabelText('Weight of Tern tote'), '310 g');
    await userEvent.tab();
    await vi.waitFor(() =>
      expect(sent.find(({ body }) => body)?.body).toEqual({
        designId: 2,
        sizeKey: 's1',
        weight: '310 g',
        thick: '3',
      }),
    );
  });

  it('keeps what is typed on while the field before it is saved', async () => {
    const all = weights.map((one) => (one.designId === 2 ? { ...one, weight: '310 g' } : one));
    const waiting: (() => void)[] = [];
    server({ '/api/posting/weights': weights, '/api/posting': posting });
    const before = fetch;
    let isTaken = false;
    vi.stubGlobal('fetch', async (url: string, init?: RequestInit) => {
      if (init?.method === 'PUT') {
        await new Promise<void>((done) => waiting.push(done));
        isTaken = true;
      } else if (!isTaken || !url.endsWith('/weights')) {
        return before(url, init);
      }
      return new Response(JSON.stringify(all), { headers: { 'Content-Type': 'application/json' } });
    });
    rendered(<PostingPage />);
    await userEvent.type(await screen.findByLabelText('Weight of Tern tote'), '310g');
    await userEvent.tab();
    await userEvent.keyboard('1 1/');
    await vi.waitFor(() => expect(waiting).toHaveLength(1));
    waiting[0]?.();
    await vi.waitFor(() => expect(screen.getByLabelText('Weight of Tern tote')).toHaveValue('310 g'));
    await userEvent.keyboard('4');
    expect(screen.getByLabelText('Thickness of Tern tote')).toHaveFocus();
    expect(screen.getByLabelText('Thickness of Tern tote')).toHaveValue('1 1/4');
    await userEvent.tab();
    await vi.waitFor(() => expect(waiting).toHaveLength(2));
  });

  it('makes a label by hand of what is typed', async () => {
    server({ '/api/posting/weights': [], '/api/posting': posting });
    rendered(<PostingPage />);
    const part = within(await screen.findByRole('region', { name: 'A label by hand' }));
    expect(part.queryByRole('link')).toBeNull();
    await userEvent.type(part.getByLabelText('Address, a line each'), 'Ida & Co{Enter}Quay 3');
    expect(part.getByRole('link', { name: 'Label as PDF' })).toHaveAttribute(
      'href',
      '/api/posting/label.pdf?address=Ida%20%26%20Co%0AQuay%203',
    );
  });
});

describe('the parcel of an order', () => {
  it('says what it costs to each zone, and which bags nobody has weighed', async () => {
    server({
      '/api/posting/orders/4': {
        orderId: 4,
        number: 'S-4',
        address: [],
        weight: amount('210 g'),
        longest: length('9 in', '23 cm'),
        middle: length('6 in', '15 cm'),
        shortest: length('2 in', '5 cm'),
        missing: ['Tern tote, small'],
        zones: [
          { zone: 'Home', rate: 'packet', price: money(275) },
          { zone: 'Abroad', why: 'It is heavier than anything that goes there.' },
        ],
        postagePaid: money(450),
        customs: '1 × Heron pouch; handmade textile bags; 210 g; 14.00 EUR',
      } satisfies Schemas['ParcelView'],
    });
    rendered(<ParcelPart orderId={4} />);
    expect(await screen.findByText('210 g')).toBeVisible();
    expect(screen.getByText('2.75')).toBeVisible();
    expect(screen.getByText('It is heavier than anything that goes there.')).toBeVisible();
    expect(screen.getByText(/Tern tote, small/)).toBeVisible();
  });
});
