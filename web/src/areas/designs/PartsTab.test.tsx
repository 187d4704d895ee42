import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { design, piece, sizeSheet } from '../../ui/fixtures.test.helper';
import { editor, server } from './editing.test.helper';
import { PartsTab } from './PartsTab';

describe('the parts of a bag', () => {
  const start = design({
    measurements: [
      { symbol: 'width', label: 'Width', kind: 'FINISHED', values: ['10 in'], options: [] },
      { symbol: 'band', label: 'Band', kind: 'ALLOWANCE', values: ['1 in'], options: [] },
    ],
    slots: [
      { key: 'outer', label: 'Outer cloth', kind: 'CLOTH', cloths: [] },
      { key: 'lining', label: 'Lining cloth', kind: 'CLOTH', cloths: [] },
    ],
  });
  const shown = sizeSheet('one size', {
    pieces: [
      piece('A', { name: 'Outer panel', count: 2 }),
      piece('B', { name: 'Lining panel', slot: 'lining' }),
    ],
  });

  it('stand with what is cut for each, its cloth and its measures; one that the bag hasn’t is left out', async () => {
    server({
      '/api/materials': { items: [], page: 0, size: 500, total: 0 },
      '/api/designs/slot-materials': [],
    });
    const { current, goTo } = editor(<PartsTab />, start, shown);
    const body = within(await screen.findByRole('region', { name: 'Body' }));
    expect(body.getByText('10 ½ × 8 in × 2')).toBeVisible();
    expect(body.getByLabelText('Outer cloth')).toBeVisible();
    expect(screen.queryByRole('region', { name: 'Pockets' })).toBeNull();

    const lining = within(screen.getByRole('region', { name: 'Lining' }));
    expect(lining.queryByLabelText('Outer cloth')).toBeNull();
    await userEvent.type(lining.getByLabelText('Band'), '{Backspace}{Backspace}cm');
    expect(current.document.measurements[1]?.values).toEqual(['1 cm']);
    await userEvent.click(body.getByRole('button', { name: 'A · Outer panel' }));
    expect(goTo).toHaveBeenCalledWith('pieces.A');
  });
});
