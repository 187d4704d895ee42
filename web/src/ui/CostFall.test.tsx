import { render } from '@testing-library/react';
import { CostFall } from './CostFall';

describe('CostFall', () => {
  it('hangs each part where the one before it ended, and ends at the whole', () => {
    const { container } = render(
      <CostFall
        parts={[
          { name: 'canvas', minor: 250, amount: '2.50' },
          { name: 'labour', minor: 650, amount: '6.50' },
          { name: 'overheads', minor: 100, amount: '1.00' },
        ]}
      />,
    );
    const bars = [...container.querySelectorAll('rect[x]')].map((bar) => [
      Number(bar.getAttribute('x')),
      Number(bar.getAttribute('width')),
    ]);
    expect(bars).toEqual([
      [0, 25],
      [25, 65],
      [90, 10],
    ]);
  });

  it('draws nothing backwards where cut pieces that went took their cost along', () => {
    const { container } = render(
      <CostFall
        parts={[
          { name: 'canvas', minor: -50, amount: '−0.50' },
          { name: 'labour', minor: 150, amount: '1.50' },
        ]}
      />,
    );
    container.querySelectorAll('rect[x]').forEach((bar) => {
      expect(Number(bar.getAttribute('width'))).toBeGreaterThanOrEqual(0);
      expect(Number(bar.getAttribute('x'))).toBeGreaterThanOrEqual(0);
    });
  });
});
