import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { fireEvent } from '@testing-library/react';
import { afterEach, vi } from 'vitest';
import { amount, length, money } from '../../ui/fixtures.test.helper';
import { rendered } from '../../ui/rendered.test.helper';
import { refusing, server } from '../designs/editing.test.helper';
import ValuePage from './ValuePage';

afterEach(() => vi.unstubAllGlobals());

const value = {
  on: '2025-12-31',
  school: 'FIRST_IN_FIRST_OUT',
  kinds: [{ kind: 'CLOTH', materials: 1, worth: money(3600) }],
  cutPieces: { pieces: 12, worth: money(480) },
  total: money(3600),
  lines: [
    {
      materialId: 7,
      name: 'Juniper Dot',
      kind: 'CLOTH',
      onHand: amount('3 yd', 3, length('3 yd', '2.74 m')),
      pieces: 2,
      worth: money(3360),
      worthOfPieces: money(240),
    },
  ],
};

const scrap = [3, 4].map((lotId) => ({
  lotId,
  materialId: 7,
  name: 'Juniper Dot',
  colour: '#336655',
  width: length(`${lotId} in`, '1 cm'),
  height: length('5 in', '12.7 cm'),
  count: 1,
  keptAt: '2025-01-02T00:00:00Z',
}));

describe('what the shelf is worth', () => {
  it('is told by kind and material, with its school, for the day that was asked, and as a sheet', async () => {
    const sent = server({ '/api/stock-value': value, '/api/scrap': [] });
    rendered(<ValuePage />);
    expect(await screen.findByText(/by first in, first out/)).toBeVisible();
    const table = within(screen.getByRole('region', { name: 'Materials by worth' }));
    expect(table.getByText('2 · 2.40')).toBeVisible();
    fireEvent.change(screen.getByLabelText('At the end of'), { target: { value: '2025-12-31' } });
    expect(screen.getByRole('link', { name: 'As CSV' })).toHaveAttribute(
      'href',
      '/api/stock-value.csv?on=2025-12-31',
    );
    await vi.waitFor(() => expect(sent.map((one) => one.path)).toContain('/api/stock-value?on=2025-12-31'));
  });

  it('keeps its day where one is refused, so that another can be typed', async () => {
    server({ '/api/stock-value': value, '/api/scrap': [] });
    rendered(<ValuePage />);
    await screen.findByText(/by first in, first out/);
    refusing('This day is still to come.');
    fireEvent.change(screen.getByLabelText('At the end of'), { target: { value: '2199-01-01' } });
    expect(await screen.findByText('This day is still to come.')).toBeVisible();
    expect(screen.getByLabelText('At the end of')).toHaveValue('2199-01-01');
    expect(screen.queryByRole('link', { name: 'As CSV' })).toBeNull();
  });

  it('puts old small offcuts into the scrap bag, but for those that stay', async () => {
    const sent = server({ '/api/stock-value': value, '/api/scrap': scrap });
    rendered(<ValuePage />);
    await userEvent.click(await screen.findByRole('checkbox', { name: /3 in by 5 in/ }));
    await userEvent.click(screen.getByRole('button', { name: 'Into the scrap bag' }));
    expect(sent.find((one) => one.body)?.body).toMatchObject({ lotIds: [4] });
  });
});
