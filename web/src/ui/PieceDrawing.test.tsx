import { screen } from '@testing-library/react';
import { drawing, piece } from './fixtures.test.helper';
import { PieceDrawings, PieceShape } from './PieceDrawing';
import { rendered } from './rendered.test.helper';

const shown = (container: HTMLElement, part: string) =>
  [...container.querySelectorAll(`[data-part="${part}"]`)].map((path) => path.getAttribute('d') ?? '');

const mark = { label: 'a mark', x: 20, y: 30, width: 40, height: 50 };

describe('the drawing of pieces', () => {
  it('names sizes in the maker’s unit first and in the other one beside it', () => {
    rendered(<PieceDrawings pieces={[piece('A')]} width={500} height={150} />, 'METRIC');
    expect(screen.getByRole('button', { name: /Piece A, width/ })).toHaveTextContent('≈ 26.7');
    expect(screen.getByText('10 ½ × 8 in')).toBeVisible();
  });

  it('draws all pieces to one scale', () => {
    const half = piece('B', { drawing: drawing(133.35, 101.6) });
    const { container } = rendered(<PieceDrawings pieces={[piece('A'), half]} width={900} height={150} />);
    const [a, b] = [...container.querySelectorAll('li > svg')].map(
      (svg) => Number(svg.getAttribute('width')) - 2,
    );
    expect(a && b && a / b).toBeCloseTo(2);
  });

  it('draws the cut line as it is told, and later corners and seams dashed', () => {
    const cut = drawing(266.7, 203.2, {
      outline: 'M0 0L266 0L266 170L0 170Z',
      corners: 'M0 1Z',
      seams: 'M0 6L266 6',
    });
    const { container } = rendered(
      <PieceDrawings pieces={[piece('A', { drawing: cut })]} width={500} height={150} />,
    );
    expect(shown(container, 'outline')).toEqual(['M0 0L266 0L266 170L0 170Z']);
    expect(shown(container, 'corners')).toEqual(['M0 1Z']);
    expect(shown(container, 'seams')).toEqual(['M0 6L266 6']);
    expect(container.querySelectorAll('[stroke-dasharray]')).toHaveLength(2);
  });

  it('shows each kind of mark in its place with its name', () => {
    const kinds = ['POCKET', 'HARDWARE', 'GAP', 'NOTCH', 'CENTRE', 'FOLD_LINE', 'MOTIF'] as const;
    const marked = drawing(266.7, 203.2, {
      marks: kinds.map((kind) => ({ ...mark, kind, label: kind.toLowerCase() })),
    });
    const { container } = rendered(
      <PieceDrawings pieces={[piece('A', { drawing: marked })]} width={500} height={150} />,
    );
    expect([...container.querySelectorAll('title')].map((title) => title.textContent)).toEqual(
      kinds.map((kind) => kind.toLowerCase()),
    );
  });

  it('lights up the edges that are sewn, on the outline as it is cut', () => {
    const { container } = rendered(<PieceShape piece={piece('A')} scale={1} lit={['TOP', 'LEFT']} />);
    expect(shown(container, 'lit')).toEqual(shown(container, 'outline'));
    expect(container.querySelectorAll('polygon')).toHaveLength(2);
  });

  it('hatches each role differently', () => {
    const { container } = rendered(
      <PieceDrawings pieces={[piece('A'), piece('B', { role: 'LINING' })]} width={500} height={150} />,
    );
    const fills = [...container.querySelectorAll('path')]
      .map((shape) => shape.getAttribute('fill') ?? '')
      .filter((fill) => fill.includes('#hatch'));
    expect(new Set(fills).size).toBe(2);
  });

  it('shows which way is up only where a piece has a top', () => {
    const arrows = (container: HTMLElement) => container.querySelectorAll('path[d^="M12 34"]').length;
    const plain = rendered(<PieceDrawings pieces={[piece('A')]} width={500} height={150} />);
    expect(arrows(plain.container)).toBe(0);
    plain.unmount();
    const topped = rendered(
      <PieceDrawings pieces={[piece('A', { directional: true })]} width={500} height={150} />,
    );
    expect(arrows(topped.container)).toBe(1);
  });
});
