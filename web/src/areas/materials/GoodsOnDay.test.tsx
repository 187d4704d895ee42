import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { money, server } from '../../ui/fixtures.test.helper';
import { rendered } from '../../ui/rendered.test.helper';
import { GoodsOnDay } from './GoodsOnDay';

describe('finished bags on a day', () => {
  it('shows what lay where, and what it had cost, for the day that is typed', async () => {
    const onDay = (units: number) => ({
      day: '2026-05-04',
      lines: [
        {
          id: 4,
          words: 'Heron pouch, small',
          places: [
            { place: 'home', units },
            { place: 'Quay shop', units: 1 },
          ],
          units: units + 1,
          worth: money(1000 * units),
        },
      ],
      units: units + 1,
      worth: money(1000 * units),
    });
    const sent = server({
      '/api/finished-goods/on/2026-04-01': onDay(7),
      '/api/finished-goods/on/2026-05-04': onDay(3),
    });
    const close = vi.fn();
    rendered(<GoodsOnDay today="2026-05-04" onClose={close} />);
    const panel = within(await screen.findByRole('dialog'));
    expect(await panel.findByText('3 home · 1 Quay shop')).toBeVisible();
    await userEvent.clear(panel.getByLabelText('At the end of'));
    await userEvent.type(panel.getByLabelText('At the end of'), '2026-04-01');
    expect(await panel.findByText('7 home · 1 Quay shop')).toBeVisible();
    expect(panel.getByRole('link', { name: 'Heron pouch, small' })).toHaveAttribute(
      'href',
      '/materials/finished/4',
    );
    expect(sent.every(({ path }) => /on\/2026-0[45]-0[14]$/.test(path))).toBe(true);
    await userEvent.click(panel.getByRole('button', { name: 'Close' }));
    expect(close).toHaveBeenCalled();
  });
});
