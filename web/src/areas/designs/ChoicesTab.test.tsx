import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { design } from '../../ui/fixtures.test.helper';
import { ChoicesTab } from './ChoicesTab';
import { editor } from './editing.test.helper';

const bag = design({
  pieces: [
    {
      letter: 'F',
      name: 'Foam',
      role: 'INTERFACING',
      slot: 'foam',
      quantity: '2',
      layers: 1,
      width: '8 in',
      height: '6 in',
      shapes: [],
      edges: { top: '', right: '', bottom: '', left: '' },
      directional: false,
      fold: 'NONE',
      boxed: false,
      marks: [],
    },
  ],
  slots: [{ key: 'foam', label: 'Foam', kind: 'CLOTH', cloths: ['FOAM'] }],
  measurements: [{ symbol: 'seam', label: 'Seam', kind: 'ALLOWANCE', values: ['1/4 in'], options: [] }],
});

const effects = [{ choice: 'choice', key: 'alternative2', time: '+12 min', cost: '+3.40', price: '+6.00' }];

describe('what a design leaves open', () => {
  it('is begun, named key by key, and given what comes with it', async () => {
    const { current } = editor(<ChoicesTab />, bag);
    await userEvent.click(screen.getByRole('button', { name: 'Add a choice' }));
    const name = screen.getByLabelText('What is chosen');
    await userEvent.clear(name);
    await userEvent.type(name, 'Filling {{ç} 🧵');
    const group = screen.getByRole('group', { name: 'Filling {ç} 🧵: with' });
    const brings = within(group).getByLabelText('What comes with it');
    await userEvent.selectOptions(brings, 'F · Foam');
    await userEvent.selectOptions(brings, 'slots foam');
    await userEvent.selectOptions(within(group).getByLabelText(/^Measurement/), 'Seam');
    expect(current.document.openChoices).toEqual([
      {
        key: 'choice',
        name: 'Filling {ç} 🧵',
        usual: 'alternative',
        alternatives: [
          { key: 'alternative', name: 'without', letters: [], slots: [], steps: [], measures: [] },
          {
            key: 'alternative2',
            name: 'with',
            letters: ['F'],
            slots: ['foam'],
            steps: [],
            measures: [{ symbol: 'seam', value: '1/4 in' }],
          },
        ],
      },
    ]);
    await userEvent.click(within(group).getByRole('button', { name: 'F · Foam doesn’t come with with' }));
    expect(current.document.openChoices?.[0]?.alternatives[1]?.letters).toEqual([]);
  });

  it('keeps a usual one, whichever is taken away, and never fewer than two', async () => {
    const { current } = editor(<ChoicesTab />, bag);
    await userEvent.click(screen.getByRole('button', { name: 'Add a choice' }));
    expect(screen.queryByRole('button', { name: 'Remove without' })).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Add an alternative' }));
    const keys = current.document.openChoices?.[0]?.alternatives.map((one) => one.key) ?? [];
    expect(new Set(keys).size).toBe(3);
    await userEvent.click(screen.getByRole('button', { name: 'Remove without' }));
    expect(current.document.openChoices?.[0]?.usual).toBe(keys[1]);
    await userEvent.click(screen.getAllByRole('radio')[1] as HTMLElement);
    expect(current.document.openChoices?.[0]?.usual).toBe(keys[2]);
    await userEvent.click(screen.getByRole('button', { name: 'Remove the choice New choice' }));
    expect(current.document.openChoices).toEqual([]);
  });

  it('says what another would change of a bag', async () => {
    editor(<ChoicesTab />, bag, { alternatives: effects });
    await userEvent.click(screen.getByRole('button', { name: 'Add a choice' }));
    const other = screen.getByRole('group', { name: 'New choice: with' });
    expect(other).toHaveTextContent('time+12 min');
    expect(other).toHaveTextContent('cost+3.40');
    expect(screen.getByRole('group', { name: 'New choice: without' })).toHaveTextContent(
      'as the ticket says',
    );
  });
});
