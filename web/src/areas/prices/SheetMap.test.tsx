import { fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { SheetMap } from './SheetMap';

const SHEET: Schemas['SheetView'] = {
  key: 'A4_24',
  name: '24 of 70 × 37 mm, A4',
  own: false,
  next: 1,
  across: 3,
  down: 8,
  pageWidth: 210,
  pageHeight: 297,
  left: 0,
  top: 0.5,
  labelWidth: 70,
  labelHeight: 37,
  stepAcross: 70,
  stepDown: 37,
};

function Sheet({ units }: { units: number }) {
  const [first, setFirst] = useState(2);
  return <SheetMap sheet={SHEET} first={first} units={units} onFirst={setFirst} />;
}

const labels = (container: HTMLElement) => [...container.querySelectorAll('rect')];
const printed = (container: HTMLElement) =>
  labels(container).filter((one) => one.getAttribute('fill') === 'var(--color-woad)').length;

describe('SheetMap', () => {
  it('goes from label to label and row to row by the arrow keys, and never off the sheet', () => {
    render(<Sheet units={4} />);
    const map = screen.getByRole('slider', { name: 'Begin at label' });
    fireEvent.keyDown(map, { key: 'ArrowDown' });
    expect(map).toHaveAttribute('aria-valuenow', '5');
    fireEvent.keyDown(map, { key: 'ArrowLeft' });
    expect(map).toHaveAttribute('aria-valuetext', 'label 4 of 24');
    fireEvent.keyDown(map, { key: 'ArrowUp' });
    fireEvent.keyDown(map, { key: 'ArrowUp' });
    expect(map).toHaveAttribute('aria-valuenow', '1');
    for (let i = 0; i < 9; i++) fireEvent.keyDown(map, { key: 'ArrowDown' });
    expect(map).toHaveAttribute('aria-valuenow', '24');
  });

  it('begins at the label that is touched, and shows those that will be printed', () => {
    const { container } = render(<Sheet units={4} />);
    expect(printed(container)).toBe(4);
    fireEvent.click(labels(container).at(21) as SVGRectElement);
    expect(screen.getByRole('slider')).toHaveAttribute('aria-valuenow', '22');
    expect(printed(container)).toBe(3);
    expect(labels(container)[20]).toHaveAttribute('stroke-dasharray');
  });
});
