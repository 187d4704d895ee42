import { render, screen } from '@testing-library/react';
import { RunningStitch } from './RunningStitch';

describe('the running stitch', () => {
  it.each([
    [undefined, 'Plan comes next'],
    ['PLANNED', 'Cut comes next'],
    ['CUT', 'Sew comes next'],
    ['FINISHED', 'all stages done'],
    ['DROPPED', 'cut, and dropped'],
  ] as const)('says for %s in words what its marks show', (stage, words) => {
    render(<RunningStitch stage={stage} width={400} />);
    expect(screen.getByRole('img')).toHaveAccessibleName(expect.stringContaining(words));
  });
});
