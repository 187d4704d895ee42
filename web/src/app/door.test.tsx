import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, vi } from 'vitest';
import { DoorPart } from '../areas/settings/DoorPart';
import { server } from '../ui/fixtures.test.helper';
import { rendered } from '../ui/rendered.test.helper';
import { EnterPage } from './EnterPage';
import { Rail } from './Rail';

afterEach(() => vi.unstubAllGlobals());

describe('the door', () => {
  const closed = {
    here: true,
    inside: true,
    role: 'MAKER',
    open: false,
    keys: [] as string[],
    addresses: [],
    devices: [],
  };

  it('isn’t opened before a passphrase is set', async () => {
    const sent = server({
      '/api/door': closed,
      '/api/door/keys/HELPER': { ...closed, keys: ['HELPER'] },
    });
    rendered(<DoorPart />);
    expect(await screen.findByRole('button', { name: 'Let other devices in' })).toBeDisabled();
    await userEvent.type(
      screen.getByLabelText('A helper: a passphrase'),
      'blue thread liess{Backspace}{Enter}',
    );
    await vi.waitFor(() =>
      expect(sent.find((one) => one.path === '/api/door/keys/HELPER')?.body).toEqual({
        passphrase: 'blue thread lies',
      }),
    );
  });

  it('takes the passphrase of a role away by itself', async () => {
    const sent = server({ '/api/door': { ...closed, keys: ['HELPER'] }, '/api/door/keys/HELPER': undefined });
    rendered(<DoorPart />);
    expect(await screen.findByText('has a passphrase')).toBeVisible();
    expect(screen.getByRole('button', { name: 'Let other devices in' })).toBeEnabled();
    await userEvent.click(screen.getByRole('button', { name: 'Take it away' }));
    await vi.waitFor(() => expect(sent.some((one) => one.path === '/api/door/keys/HELPER')).toBe(true));
  });

  it('shows where other devices find Mardun, and who came', async () => {
    server({
      '/api/door': {
        ...closed,
        open: true,
        keys: ['STALL'],
        addresses: ['http://192.168.1.20:8080/'],
        devices: [{ device: 'A tablet', role: 'STALL', cameOn: '2026-05-01', seenOn: '2026-05-04' }],
      },
    });
    rendered(<DoorPart />);
    expect(await screen.findByText('http://192.168.1.20:8080/')).toBeVisible();
    expect(screen.getByRole('img', { name: 'Code for http://192.168.1.20:8080/' })).toBeVisible();
    expect(screen.getByText(/The stall · A tablet · since 1 May 2026/)).toBeVisible();
    expect(screen.getByRole('button', { name: 'Keep other devices out' })).toBeEnabled();
  });

  it('lets a device in that says the passphrase', async () => {
    const sent = server({ '/api/door': closed, '/api/door/enter': undefined });
    const inside = vi.fn();
    rendered(<EnterPage onInside={inside} />);
    await userEvent.type(screen.getByLabelText('Passphrase'), 'blue thread{Enter}');
    await vi.waitFor(() => expect(inside).toHaveBeenCalled());
    expect(sent.find((one) => one.path === '/api/door/enter')?.body).toEqual({ passphrase: 'blue thread' });
  });

  it.each([
    ['MAKER', 'Bench, Designs, Materials, Batches, Prices, Stalls, Logbook, Rules, Settings'],
    ['HELPER', 'Bench, Designs, Materials, Batches, Rules'],
    ['STALL', 'Stalls'],
  ])('shows the places in which %s has business', async (role, places) => {
    server({ '/api/door': { ...closed, here: false, role } });
    rendered(<Rail />);
    await vi.waitFor(() =>
      expect(
        screen
          .getAllByRole('link')
          .map((link) => link.textContent)
          .join(', '),
      ).toBe(places),
    );
  });
});
