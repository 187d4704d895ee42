import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { design } from '../../ui/fixtures.test.helper';
import { AboutTab } from './AboutTab';
import { editor } from './editing.test.helper';

describe('whose design it is', () => {
  it('asks for what somebody’s licence says, and for nothing of an own design', async () => {
    const { current } = editor(<AboutTab />, design());
    expect(screen.queryByLabelText('Others mayn’t sell the bags')).toBeNull();
    await userEvent.selectOptions(
      screen.getByLabelText('Whose design'),
      'somebody’s pattern, so many may be sold a year',
    );
    await userEvent.type(screen.getByLabelText('How many may be sold'), '5x0');
    await userEvent.type(screen.getByLabelText('Designer'), 'Ana {{ç} 🧵');
    await userEvent.click(screen.getByLabelText('Only finished bags may be sold, no kits'));
    await userEvent.click(screen.getByLabelText('Others mayn’t sell the bags'));
    expect(current.document.source).toEqual({
      licence: 'SO_MANY_A_YEAR',
      designer: 'Ana {ç} 🧵',
      most: 50,
      credit: '',
      conditions: ['NO_RESELLERS', 'ONLY_FINISHED'],
    });
    await userEvent.click(screen.getByLabelText('Only finished bags may be sold, no kits'));
    expect(current.document.source.conditions).toEqual(['NO_RESELLERS']);
  });
});

describe('what the paper says', () => {
  it('stays beside what is used here, typed key by key', async () => {
    const { current } = editor(<AboutTab />, design());
    const note = screen.getByRole('button', { name: 'Note what a paper says' });
    await userEvent.click(note);
    const place = (screen.getByLabelText('Of') as HTMLSelectElement).value;
    await userEvent.type(screen.getByLabelText('The paper says'), '10 x 88{Backspace} in, {{ç}');
    expect(current.document.paper).toEqual([{ place, says: '10 x 8 in, {ç}' }]);
    await userEvent.click(screen.getByRole('button', { name: /^Remove what the paper says of/ }));
    expect(current.document.paper).toEqual([]);
  });

  it('says so of a part that isn’t there any more', () => {
    editor(<AboutTab />, { ...design(), paper: [{ place: 'pieces.Q', says: 'cut 2' }] });
    expect(screen.getByLabelText('Of')).toHaveDisplayValue('something that isn’t there any more');
  });
});
