import { screen } from '@testing-library/react';
import { piece } from '../../../ui/fixtures.test.helper';
import { rendered } from '../../../ui/rendered.test.helper';
import { GoesThrough } from './TurnParts';
import { part, turn } from './work.test.helper';

describe('what goes through a step', () => {
  it('draws the pieces with their edges, and says how they lie', () => {
    rendered(
      <GoesThrough
        turn={{
          ...turn('Sew zip', part(1, 0)),
          pieces: [{ piece: piece('A'), layers: 2, along: ['TOP'] }],
          lies: ['right sides together', 'zip face down'],
        }}
        photo={undefined}
      />,
    );
    expect(screen.getByText('Piece A')).toBeVisible();
    expect(screen.getByText('top')).toBeVisible();
    expect(screen.getByText('right sides together, zip face down')).toBeVisible();
  });

  it('says nothing where nothing is said', () => {
    const { container } = rendered(<GoesThrough turn={turn('Press', part(1, 0))} photo={undefined} />);
    expect(container).toBeEmptyDOMElement();
  });
});
