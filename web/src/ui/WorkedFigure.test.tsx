import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { WorkedFigure, WorkingSteps } from './WorkedFigure';

const working = {
  rule: 'A panel is as wide as the finished base, plus the depth, plus two side seams.',
  expression: 'base + depth + 2 × seam',
  calculation: '7 ½ in + 2 ½ in + 2 × ¼ in',
  result: '10 ½ in',
  rounding: 'shown rounded up',
  inputs: [
    { symbol: 'width', label: 'finished base width', value: '7 ½ in' },
    {
      symbol: 'depth',
      label: 'finished depth',
      value: '2 ½ in',
      working: {
        rule: 'As entered.',
        expression: '2 ½ in',
        calculation: '2 ½ in',
        result: '2 ½ in',
        inputs: [],
        schools: [],
      },
    },
  ],
  schools: [
    { name: 'cut out before sewing', result: '1 ¼ in', chosen: true },
    { name: 'cut out after sewing', result: '1 in', chosen: false },
  ],
};

describe('a worked figure', () => {
  it('opens to show the rule, the values and the rounding', async () => {
    render(
      <WorkedFigure label="Width" working={working}>
        10 ½ in
      </WorkedFigure>,
    );
    expect(screen.queryByText(/as wide as the finished base/)).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: /Width: 10 ½ in/ }));
    expect(screen.getByText(/as wide as the finished base/)).toBeVisible();
    expect(screen.getByText(/7 ½ in \+ 2 ½ in \+ 2 × ¼ in/)).toBeVisible();
    expect(screen.getByText(/shown rounded up/)).toBeVisible();
  });

  it('marks the school that is the maker’s and lets inputs be opened', () => {
    render(<WorkingSteps working={working} />);
    expect(screen.getByText(/yours/).closest('td')).toHaveTextContent('cut out before sewing');
    expect(screen.getByText('finished depth').closest('details')).not.toHaveAttribute('open');
    expect(screen.getByText('finished base width').closest('details')).toBeNull();
  });
});
