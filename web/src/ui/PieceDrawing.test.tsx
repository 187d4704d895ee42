import { screen } from '@testing-library/react';
import { piece } from './fixtures.test.helper';
import { PieceDrawings } from './PieceDrawing';
import { rendered } from './rendered.test.helper';

const paths = (container: HTMLElement) =>
  [...container.querySelectorAll('svg path')].map((path) => path.getAttribute('d') ?? '');

describe('the drawing of pieces', () => {
  it('names sizes in the maker’s unit first and in the other one beside it', () => {
    rendered(<PieceDrawings pieces={[piece('A')]} width={500} height={150} />, 'METRIC');
    expect(screen.getByRole('button', { name: /Piece A, width/ })).toHaveTextContent('≈ 26.7 cm');
    expect(screen.getByText('10 ½ × 8 in')).toBeVisible();
  });

  it('draws all pieces to one scale', () => {
    const half = piece('B', { drawing: { width: 133.35, height: 101.6, cutAway: true, atBothEnds: false } });
    const { container } = rendered(<PieceDrawings pieces={[piece('A'), half]} width={900} height={150} />);
    const [a, b] = [...container.querySelectorAll('svg > rect:first-child')].map((rect) =>
      Number(rect.getAttribute('width')),
    );
    expect(a && b && a / b).toBeCloseTo(2);
  });

  it('cuts corners away that are cut before sewing, and only marks those that aren’t', () => {
    const corner = { fromSide: 31.75, fromBase: 31.75 };
    const drawing = { width: 266.7, height: 203.2, corner, cutAway: true, atBothEnds: false };
    const cut = rendered(<PieceDrawings pieces={[piece('A', { drawing })]} width={500} height={150} />);
    expect(paths(cut.container).some((d) => d.endsWith('Z'))).toBe(true);
    expect(cut.container.querySelector('[stroke-dasharray]')).toBeNull();
    cut.unmount();
    const marked = rendered(
      <PieceDrawings
        pieces={[piece('A', { drawing: { ...drawing, cutAway: false } })]}
        width={500}
        height={150}
      />,
    );
    expect(marked.container.querySelector('[stroke-dasharray]')).not.toBeNull();
  });

  it('hatches each role differently', () => {
    const { container } = rendered(
      <PieceDrawings pieces={[piece('A'), piece('B', { role: 'LINING' })]} width={500} height={150} />,
    );
    const fills = [...container.querySelectorAll('svg > rect')]
      .map((shape) => shape.getAttribute('fill') ?? '')
      .filter((fill) => fill.includes('#hatch'));
    expect(new Set(fills).size).toBe(2);
  });

  it('shows which way is up only where a piece has a top', () => {
    const plain = rendered(<PieceDrawings pieces={[piece('A')]} width={500} height={150} />);
    expect(paths(plain.container)).toHaveLength(0);
    plain.unmount();
    const topped = rendered(
      <PieceDrawings pieces={[piece('A', { directional: true })]} width={500} height={150} />,
    );
    expect(paths(topped.container)).toHaveLength(1);
  });
});
