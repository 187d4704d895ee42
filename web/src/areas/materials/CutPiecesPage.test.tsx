import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { length, money } from '../../ui/fixtures.test.helper';
import { rendered } from '../../ui/rendered.test.helper';
import { server } from '../designs/editing.test.helper';
import CutPiecesPage from './CutPiecesPage';

afterEach(() => vi.unstubAllGlobals());

const bodies = (sent: ReturnType<typeof server>, path: string) =>
  sent.filter((one) => one.path === path).map((one) => one.body);

const piece = (id: number, letter: string, batchId = 9): Schemas['UnsewnLine'] => ({
  id,
  batchId,
  designName: 'Heron {ç}',
  sizeName: 'small',
  letter,
  pieceName: letter === 'A' ? 'Face' : 'Lining',
  materialId: 3,
  clothName: 'Juniper Dot',
  colour: '#345',
  width: length('8 in', '20.3 cm'),
  height: length('6 in', '15.2 cm'),
  pieces: 8,
  held: letter === 'A' ? 2 : 0,
  perBag: 2,
  worth: money(412),
});

const shelf = (...items: Schemas['UnsewnLine'][]) => ({
  page: { items, page: 0, size: 100, total: items.length },
  total: money(412 * items.length),
});

describe('cut, not sewn', () => {
  it('lists pieces by the bags that they are for, with what is held and what they are worth', async () => {
    server({ '/api/cut-pieces': shelf(piece(1, 'A'), piece(2, 'B'), piece(3, 'A', 12)) });
    rendered(<CutPiecesPage />);
    const nine = await screen.findByRole('region', { name: 'Heron {ç}, batch 9' });
    expect(within(nine).getAllByRole('row')).toHaveLength(3);
    expect(within(nine).getByText('2 for a planned batch')).toBeVisible();
    expect(screen.getByRole('region', { name: 'Heron {ç}, batch 12' })).toBeVisible();
    expect(screen.getByText(/12\.36/)).toBeVisible();
  });

  it('gives away all pieces of a bag, or throws away some of one kind', async () => {
    const sent = server({
      '/api/cut-pieces': shelf(piece(1, 'A'), piece(2, 'B')),
      '/api/cut-pieces/movements': {},
    });
    rendered(<CutPiecesPage />);
    await userEvent.click(await screen.findByRole('button', { name: /of batch 9 leave/ }));
    expect(screen.getByRole('link', { name: 'batch 9' })).toHaveAttribute('href', '/batches/9');
    await userEvent.type(screen.getByLabelText('For how many bags'), '2');
    await userEvent.click(screen.getByRole('button', { name: 'They are gone' }));
    await userEvent.click(await screen.findByRole('button', { name: /of batch 9 leave/ }));
    await userEvent.selectOptions(screen.getByLabelText('What happens'), 'THROWN_AWAY');
    await userEvent.selectOptions(screen.getByLabelText('Which pieces'), '2');
    await userEvent.type(screen.getByLabelText('How many'), '3');
    await userEvent.click(screen.getByRole('button', { name: 'They are gone' }));
    const [given, thrown] = bodies(sent, '/api/cut-pieces/movements') as Schemas['UnsewnForm'][];
    expect(given).toMatchObject({ kind: 'GIVEN_AWAY', ids: [1, 2], count: '2', forBags: true });
    expect(thrown).toMatchObject({ kind: 'THROWN_AWAY', ids: [2], count: '3', forBags: false });
    expect(given?.requestId).not.toEqual(thrown?.requestId);
  });

  it('says how pieces come here while there are none', async () => {
    server({ '/api/cut-pieces': shelf() });
    rendered(<CutPiecesPage />);
    expect(await screen.findByText('No cut pieces yet')).toBeVisible();
  });
});
