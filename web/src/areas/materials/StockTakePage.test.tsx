import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { amount } from '../../ui/fixtures.test.helper';
import { rendered } from '../../ui/rendered.test.helper';
import { server } from '../designs/editing.test.helper';
import StockTakePage from './StockTakePage';

beforeEach(() => sessionStorage.clear());
afterEach(() => vi.unstubAllGlobals());

const line = (materialId: number, name: string, place: string): Schemas['CountLine'] => ({
  materialId,
  part: 'WHOLE',
  name,
  kind: 'NOTION',
  colour: '#888888',
  place,
  book: { ...amount('40', 40), count: 40 },
});

const walk = {
  places: ['drawer 1', 'drawer 2'],
  lines: [line(1, 'Hook', 'drawer 1'), line(2, 'Eye', 'drawer 2')],
};

describe('a stock-take', () => {
  it('sends only what was counted, with what the book said then', async () => {
    const sent = server({ '/api/stock-take': walk, '/api/stock-takes': { counted: 1, differences: 1 } });
    rendered(<StockTakePage />);
    await userEvent.click(await screen.findByRole('button', { name: 'drawer 1' }));
    expect(screen.queryByText('Eye')).toBeNull();
    await userEvent.type(screen.getByLabelText('There is of Hook'), '37');
    await userEvent.click(screen.getByRole('button', { name: 'Enter 1 counted' }));
    expect(await screen.findByText('1 counted, 1 differed and were set right.')).toBeVisible();
    expect(sent.find((one) => one.path === '/api/stock-takes')?.body).toMatchObject({
      reason: 'stock-take',
      lines: [{ materialId: 1, part: 'WHOLE', bookValue: 40, there: '37' }],
    });
    expect(screen.getByLabelText('There is of Hook')).toHaveValue('');
  });

  it('keeps what was typed in this tab until it is entered', async () => {
    server({ '/api/stock-take': walk });
    const { unmount } = rendered(<StockTakePage />);
    await userEvent.type(await screen.findByLabelText('There is of Eye'), '12');
    unmount();
    rendered(<StockTakePage />);
    await waitFor(() => expect(screen.getByLabelText('There is of Eye')).toHaveValue('12'));
  });
});
