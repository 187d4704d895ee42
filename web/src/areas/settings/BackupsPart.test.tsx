import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { server } from '../../ui/fixtures.test.helper';
import { rendered } from '../../ui/rendered.test.helper';
import { BackupsPart } from './BackupsPart';

const place: Schemas['BackupPlaceView'] = { version: 2, folder: '', trouble: '', late: false };

const kept = (day: number) => ({
  name: `workroom-2026-05-0${day}-070000.zip`,
  madeAt: `2026-05-0${day}T07:00:00`,
  size: '812 kB',
});

const restore: Schemas['RestoreView'] = {
  id: 'r1',
  madeAt: '2026-05-03T07:00:00',
  pictures: 3,
  lines: [
    { what: 'designs', now: 7, then: 5 },
    { what: 'fairs', now: 4, then: 4 },
  ],
};

const shown = (view: Partial<Schemas['BackupsView']> = {}) => {
  const sent = server({
    '/api/backups': { kept: [kept(4), kept(3)], place, ...view },
    '/api/backups/kept': restore,
  });
  rendered(<BackupsPart />);
  return sent;
};

afterEach(() => vi.unstubAllGlobals());

describe('backups', () => {
  it('lists what is kept, and says that a second place is missing', async () => {
    shown();
    expect(await screen.findByText('4 May 2026, 07:00')).toBeVisible();
    expect(screen.getAllByText('812 kB')).toHaveLength(2);
    expect(screen.getByText(/If it breaks, they are gone too/)).toBeVisible();
    expect(screen.getByRole('link', { name: 'Save all as one file' })).toHaveAttribute(
      'href',
      '/api/backups/archive.zip',
    );
  });

  it('says why the second place has none', async () => {
    shown({ place: { ...place, folder: '/stick', trouble: 'The folder /stick isn’t there.', late: true } });
    expect(await screen.findByText('The folder /stick isn’t there.')).toBeVisible();
    expect(screen.getByText('the second place is late')).toBeVisible();
  });

  it('sends a folder that is typed with the version that was read', async () => {
    const sent = shown();
    await userEvent.type(await screen.findByLabelText(/A second place/), '/media/stick');
    await userEvent.click(screen.getByRole('button', { name: 'Copy them there' }));
    expect(sent.find((one) => one.path === '/api/backups/place')?.body).toEqual({
      version: 2,
      folder: '/media/stick',
    });
  });

  it('opens a backup, and shows what would be otherwise before anything is', async () => {
    const sent = shown({ restore });
    const dialog = await screen.findByRole('dialog', {
      name: 'Restore what was saved on 3 May 2026, 07:00?',
    });
    expect(within(dialog).getByRole('row', { name: 'designs 7 5' })).toBeVisible();
    expect(within(dialog).getByText(/its 3 photos/)).toBeVisible();
    await userEvent.click(within(dialog).getByRole('button', { name: 'Leave all as it is' }));
    expect(sent.some((one) => one.path.endsWith('/accept'))).toBe(false);
  });
});
