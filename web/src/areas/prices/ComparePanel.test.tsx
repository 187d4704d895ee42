import { render, screen } from '@testing-library/react';
import { ComparePanel } from './ComparePanel';
import type { Row } from './PricesPage';

const money = (minor: number) => ({ amount: (minor / 100).toFixed(2), minor });

const row = (design: string, left: number, perHour: number, below = false): Row => ({
  designId: design.charCodeAt(0),
  design,
  sort: 'pouch',
  sizeKey: 'one',
  size: '',
  cloth: '',
  cost: money(800),
  price: money(800 + left),
  own: false,
  left: money(left),
  perHour: money(perHour),
  below,
  reason: '',
});

const says = (rows: Row[]) => {
  render(<ComparePanel rows={rows} onClose={() => {}} />);
  return screen.getByRole('dialog').textContent;
};

describe('ComparePanel', () => {
  it('names the bag that leaves the most of one and for an hour', () => {
    expect(says([row('Heron', 500, 2400), row('Tern', 300, 1900)])).toContain('Make more of Heron');
  });

  it('tells the two apart where one leaves more for an hour and the other of one', () => {
    const text = says([row('Heron', 500, 1900), row('Tern', 300, 2400)]);
    expect(text).toContain('When hours are short, make more of Tern');
    expect(text).toContain('Heron leaves the most of one');
  });

  it('says so where none earns what an hour is worth', () => {
    expect(says([row('Heron', -60, 1200, true), row('Tern', -100, 900, true)])).toContain(
      'None of them earns',
    );
  });
});
