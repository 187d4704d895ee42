import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, it, vi } from 'vitest';
import { server } from '../../ui/fixtures.test.helper';
import { rendered } from '../../ui/rendered.test.helper';
import LogbookPage from './LogbookPage';

const line = (sentence: string, more = {}) => ({ time: '9:15', kind: 'WORK', sentence, ...more });

afterEach(() => vi.unstubAllGlobals());

describe('the logbook', () => {
  const sitting = { batchId: 4, line: 1, step: 'zip', day: '2026-05-04' };
  const first = {
    days: [
      {
        day: '2026-05-04',
        worked: { text: '1 h 27', seconds: 5220 },
        lines: [
          line('Sew the zip: 4 of Heron pouch, 29 min.', { batchId: 4, sitting }),
          line('Zip tape: 2 yd bought.', { materialId: 7, kind: 'STOCK' }),
        ],
      },
    ],
    next: '2026-05-04',
  };
  const earlier = {
    days: [{ day: '2026-05-01', worked: { text: '0 min', seconds: 0 }, lines: [line('Batch 3 planned.')] }],
  };

  it('tells days with what happened, and earlier ones when they are asked for', async () => {
    const sent = server({ '/api/logbook': first, '/api/logbook?query=&before=2026-05-04': earlier });
    rendered(<LogbookPage />);
    const day = await screen.findByRole('region', { name: '4 May 2026' });
    expect(within(day).getByText('1 h 27 at the bench')).toBeVisible();
    expect(within(day).getByText(/Sew the zip: 4 of Heron pouch/)).toBeVisible();
    expect(within(day).getByRole('link', { name: 'Batch 4' })).toHaveAttribute('href', '/batches/4');
    await userEvent.click(screen.getByRole('button', { name: 'Earlier days' }));
    expect(await screen.findByText('Batch 3 planned.')).toBeVisible();
    expect(screen.queryByRole('button', { name: 'Earlier days' })).toBeNull();
    await userEvent.type(screen.getByLabelText('Find'), 'zipp{Backspace} – ç');
    await vi.waitFor(() =>
      expect(sent.at(-1)?.path).toBe(`/api/logbook?query=${encodeURIComponent('zip – ç')}`),
    );
  });

  it('puts a time right, with a reason', async () => {
    const time = {
      id: 'a1',
      time: '9:15',
      bags: 1,
      millis: 900_000,
      took: '15:00',
      setUp: false,
      slow: false,
      leftOut: false,
      putRight: false,
      reason: '',
    };
    const sent = server({
      '/api/logbook': first,
      '/api/logbook/times': [time],
      '/api/logbook/corrections': undefined,
    });
    rendered(<LogbookPage />);
    await userEvent.click(await screen.findByRole('button', { name: /^Times of Sew the zip/ }));
    await userEvent.click(await screen.findByRole('button', { name: 'Correct 15:00 at 9:15' }));
    await userEvent.type(screen.getByLabelText('It took, in minutes'), '55{Backspace},5');
    await userEvent.tab();
    await userEvent.keyboard('the clock ran on');
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    const body = sent.find((one) => one.path === '/api/logbook/corrections')?.body;
    expect(body).toMatchObject({ event: 'a1', leftOut: false, minutes: '5,5', reason: 'the clock ran on' });
  });

  it('says so where nothing is found', async () => {
    server({ '/api/logbook': { days: [] } });
    rendered(<LogbookPage />);
    expect(await screen.findByText(/Nothing has happened yet/)).toBeVisible();
    await userEvent.selectOptions(screen.getByLabelText('Only'), 'slips');
    expect(await screen.findByText('Nothing like that is in the logbook.')).toBeVisible();
  });

  it('keeps all notes, and puts away what has had its day', async () => {
    const pin = { about: 'STEP', step: 'zip', stepName: 'Sew the zip', letter: '', machine: '' };
    const note = { id: 'n1', pin, text: 'Press first.', on: '2026-05-04', putAway: false };
    const sent = server({ '/api/logbook': first, '/api/notes': [note], '/api/notes/n1/put-away': undefined });
    rendered(<LogbookPage />);
    await userEvent.click(await screen.findByRole('tab', { name: 'Notes' }));
    expect(await screen.findByText('Press first.')).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Put away' }));
    expect(sent.find((one) => one.path === '/api/notes/n1/put-away')?.body).toEqual({ putAway: true });
  });
});
