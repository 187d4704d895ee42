import { screen } from '@testing-library/react';
import { drawing, piece } from './fixtures.test.helper';
import { PieceOnCloth } from './PieceOnCloth';
import { rendered } from './rendered.test.helper';

const length = (inch: string, metric: string) => ({ exact: metric, inch, metric });
const room = { across: 260, up: 280 };
const dots = { slot: 'outer', colour: '#336699', print: 'DOTS', repeatMm: 20 } as const;

describe('a piece on its cloth', () => {
  it('says which edge is the top, how far inside each is stitched, and which is a fold', () => {
    rendered(
      <PieceOnCloth
        piece={piece('A', { edges: { top: length('¼ in', '6 mm'), left: length('⅜ in', '1 cm') } })}
        folds={['bottom']}
        cloth={dots}
        room={room}
      />,
      'METRIC',
    );
    const drawn = screen.getByRole('img', { name: 'Piece A on its cloth' });
    expect([...drawn.querySelectorAll('text')].map((text) => text.textContent)).toEqual([
      'top · 6 mm',
      'fold',
      '1 cm',
      '',
    ]);
    expect(drawn.querySelectorAll('[data-part="fold"]')).toHaveLength(1);
  });

  it('lies in the print of its cloth, and is hatched by its role where none is chosen', () => {
    const { container, unmount } = rendered(
      <PieceOnCloth piece={piece('A')} folds={[]} cloth={dots} room={room} />,
    );
    expect(container.querySelector('pattern circle')).not.toBeNull();
    unmount();
    const plain = rendered(<PieceOnCloth piece={piece('A')} folds={[]} cloth={undefined} room={room} />);
    expect(plain.container.querySelector('pattern circle')).toBeNull();
  });

  it('points up only where the piece has a top, and dots what it is trimmed to', () => {
    const { container, unmount } = rendered(
      <PieceOnCloth piece={piece('A', { directional: true })} folds={[]} cloth={dots} room={room} />,
    );
    expect(container.querySelector('[data-part="up"]')).not.toBeNull();
    expect(screen.getByText(/the arrow points up/)).toBeVisible();
    unmount();
    rendered(
      <PieceOnCloth
        piece={piece('A', {
          drawing: drawing(266.7, 203.2, { trimmed: 'M10 10L256 10L256 193L10 193Z' }),
          trimTo: { width: length('9 ¾ in', '24.7 cm'), height: length('7 ¼ in', '18.3 cm') },
        })}
        folds={[]}
        cloth={dots}
        room={room}
      />,
    );
    expect(screen.getByText(/along the cloth; trimmed to 9 ¾ × 7 ¼ in/)).toBeVisible();
    expect(document.querySelector('[data-part="trimmed"]')).toHaveAttribute(
      'd',
      'M10 10L256 10L256 193L10 193Z',
    );
  });
});
