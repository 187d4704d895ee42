import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, vi } from 'vitest';
import { DoorPart } from '../areas/settings/DoorPart';
import { server } from '../ui/fixtures.test.helper';
import { rendered } from '../ui/rendered.test.helper';
import { EnterPage } from './EnterPage';

afterEach(() => vi.unstubAllGlobals());

describe('the door', () => {
  const closed = { here: true, inside: true, open: false, hasPassphrase: false, addresses: [], devices: [] };

  it('isn’t opened before a passphrase is set', async () => {
    const sent = server({
      '/api/door': closed,
      '/api/door/passphrase': { ...closed, hasPassphrase: true },
    });
    rendered(<DoorPart />);
    expect(await screen.findByRole('button', { name: 'Let other devices in' })).toBeDisabled();
    await userEvent.type(screen.getByLabelText(/Set a passphrase first/), 'blue thread liess{Backspace}');
    await userEvent.click(screen.getByRole('button', { name: 'Set it' }));
    expect(sent.find((one) => one.path === '/api/door/passphrase')?.body).toEqual({
      passphrase: 'blue thread lies',
    });
  });

  it('shows where other devices find Mardun, and who came', async () => {
    server({
      '/api/door': {
        ...closed,
        open: true,
        hasPassphrase: true,
        addresses: ['http://192.168.1.20:8080/'],
        devices: [{ device: 'A tablet', cameOn: '2026-05-01', seenOn: '2026-05-04' }],
      },
    });
    rendered(<DoorPart />);
    expect(await screen.findByText('http://192.168.1.20:8080/')).toBeVisible();
    expect(screen.getByRole('img', { name: 'Code for http://192.168.1.20:8080/' })).toBeVisible();
    expect(screen.getByText(/A tablet · since 1 May 2026/)).toBeVisible();
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
});
