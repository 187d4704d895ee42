import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../../../api/client';
import { money, server } from '../../../ui/fixtures.test.helper';
import { rendered } from '../../../ui/rendered.test.helper';
import ResellerPage from './ResellerPage';
import ResellersPage from './ResellersPage';

const bag = (kind: string, words: string, more: Partial<Schemas['LyingThere']>): Schemas['LyingThere'] => ({
  kind,
  words,
  there: 0,
  home: 0,
  sold: 0,
  price: money(1500),
  advice: 'LEAVE',
  advised: 0,
  reason: 'As many as go there.',
  barred: false,
  ...more,
});

const shop: Schemas['ResellerView'] = {
  id: 2,
  version: 1,
  name: 'Quay {shop}',
  channelId: 4,
  channel: 'On commission',
  reach: '',
  putAway: false,
  bags: [
    bag('k1', 'Heron pouch, small', {
      there: 1,
      home: 9,
      since: '2026-10-20',
      sold: 5,
      advice: 'BRING',
      advised: 3,
      reason: 'About 4 go in 8 weeks.',
    }),
    bag('k2', 'Tern tote', { there: 2, since: '2026-06-01', advice: 'TAKE_BACK', advised: 2 }),
    bag('k3', 'Grebe basket', { home: 4 }),
  ],
  settlements: [
    {
      id: 's1',
      day: '2026-11-02',
      units: 2,
      sold: money(3000),
      taken: money(900),
      tax: money(0),
      rest: money(2100),
      takenBack: false,
    },
  ],
};

function opened(answers: Record<string, unknown> = {}) {
  const sent = server({ ...answers, '/api/resellers/2': shop });
  rendered(<ResellerPage />, 'INCH', undefined, {
    path: '/stalls/resellers/2',
    route: '/stalls/resellers/:id',
  });
  return sent;
}

describe('a reseller', () => {
  it('is brought what is advised, unless something else is typed', async () => {
    const sent = opened({ '/api/resellers/2/moves': shop });
    expect(await screen.findByText('bring 3')).toBeVisible();
    expect(screen.getByText('take back 2')).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Bring bags' }));
    const panel = within(await screen.findByRole('dialog'));
    expect(panel.getByLabelText('How many of Heron pouch, small')).toHaveValue('3');
    await userEvent.type(panel.getByLabelText('How many of Grebe basket'), '1');
    await userEvent.click(panel.getByRole('button', { name: 'Bring them' }));
    expect(sent.find(({ path }) => path.endsWith('/moves'))?.body).toMatchObject({
      back: false,
      lines: [
        { kind: 'k1', units: '3' },
        { kind: 'k3', units: '1' },
      ],
    });
  });

  it('settles what it sold, and shows what is left of it on its terms', async () => {
    const sent = opened({
      '/api/resellers/2/settlements/preview': {
        units: 1,
        sold: money(1400),
        taken: money(420),
        tax: money(0),
        rest: money(980),
      },
      '/api/resellers/2/settlements': shop,
    });
    await userEvent.click(await screen.findByRole('button', { name: 'Settle' }));
    const panel = within(await screen.findByRole('dialog'));
    await userEvent.type(panel.getByLabelText('Sold of Heron pouch, small'), '1');
    await userEvent.clear(panel.getByLabelText('Price of Heron pouch, small'));
    await userEvent.type(panel.getByLabelText('Price of Heron pouch, small'), '14');
    expect(await panel.findByText('9.80')).toBeVisible();
    await userEvent.click(panel.getByRole('button', { name: 'Settle' }));
    await vi.waitFor(() =>
      expect(sent.find(({ path }) => path.endsWith('/settlements'))?.body).toMatchObject({
        lines: [
          { kind: 'k1', units: '1', price: '14' },
          { kind: 'k2', units: '', price: '15.00' },
        ],
      }),
    );
  });

  it('takes a settlement back', async () => {
    const sent = opened({ '/api/resellers/2/settlements/s1/undo': shop });
    await userEvent.click(await screen.findByRole('button', { name: 'Undo the settlement of 2 Nov 2026' }));
    expect(sent.some(({ path }) => path.endsWith('/settlements/s1/undo'))).toBe(true);
  });
});

describe('the resellers', () => {
  it('say what is to be done, and a new one is entered', async () => {
    const sent = server({
      '/api/channels': [
        { id: 1, says: '', putAway: false, terms: { name: 'Stall', kind: 'BUYERS' } },
        { id: 4, says: 'commission 30 %', putAway: false, terms: { name: 'Commission', kind: 'RESELLER' } },
      ],
      '/api/resellers': [
        {
          id: 2,
          name: 'Quay',
          channel: 'Commission',
          putAway: false,
          units: 3,
          asked: money(4500),
          toBring: 3,
          toTakeBack: 2,
        },
      ],
    });
    rendered(<ResellersPage />);
    expect(await screen.findByText('bring 3')).toBeVisible();
    expect(screen.getByText('never')).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'New reseller' }));
    const panel = within(await screen.findByRole('dialog'));
    await userEvent.type(panel.getByLabelText('Name of the shop'), 'Pier kiosc{Backspace}k');
    await userEvent.click(panel.getByRole('button', { name: 'Enter' }));
    expect(sent.find(({ body }) => body)?.body).toMatchObject({ name: 'Pier kiosk', channelId: 4 });
  });
});
