import { screen, within } from '@testing-library/react';
import { moneyFigure, ticket } from './fixtures.test.helper';
import { rendered } from './rendered.test.helper';
import { Ticket } from './Ticket';

describe('the ticket', () => {
  it('shows what one unit takes, costs, sells for and leaves', () => {
    rendered(<Ticket ticket={ticket()} />);
    const shown = within(screen.getByLabelText('Ticket for one unit'));
    for (const figure of ['3.33', '27 min', '8.66', '0.73', '12.72', '16.00', '24.72']) {
      expect(shown.getByText(figure)).toBeVisible();
    }
    expect(shown.getByText('wanted 19.00')).toBeVisible();
  });

  it('says in words when an hour leaves less than is wanted', () => {
    rendered(<Ticket ticket={ticket({ perHour: moneyFigure(1150) })} />);
    expect(screen.getByText(/pays less than you want/)).toBeVisible();
  });

  it('shows the price that was worked out beside the maker’s own', () => {
    rendered(<Ticket ticket={ticket({ ownPrice: true, price: { amount: '21.50', minor: 2150 } })} />);
    expect(screen.getByText('21.50')).toBeVisible();
    expect(screen.getByRole('button', { name: /Price worked out: 16.00/ })).toBeVisible();
  });

  it('says what is missing while there are no figures', () => {
    rendered(<Ticket missing="Nothing is chosen for “lining”." />);
    expect(screen.getByText('Nothing is chosen for “lining”.')).toBeVisible();
    expect(screen.queryByText('Costs')).toBeNull();
  });

  it('opens every figure', () => {
    rendered(<Ticket ticket={ticket()} />);
    for (const name of [
      'Material',
      'Time of the batch',
      'Labour',
      'Overheads',
      'Full cost',
      'The stall takes',
    ]) {
      expect(screen.getByRole('button', { name: new RegExp(`^${name}: .*how it came about`) })).toBeVisible();
    }
  });
});
