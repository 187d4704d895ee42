import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { design, server } from '../../ui/fixtures.test.helper';
import { rendered } from '../../ui/rendered.test.helper';
import { ChangedDesigns } from './ChangedDesigns';

const batch = {
  id: 6,
  version: 3,
  changedDesigns: [{ designId: 4, name: 'Owl {ç} ✂', on: '2026-11-20', plannedWith: 2, latest: 5 }],
} as unknown as Schemas['BatchView'];

const comparison: Schemas['RevisionComparison'] = {
  from: 2,
  to: 5,
  before: design(),
  after: design(),
  differences: [
    {
      part: 'Measurements',
      name: 'Depth',
      kind: 'CHANGED',
      fields: [
        { field: 'small', before: '2 in', after: '2 1/2 in' },
        { field: 'label', before: '', after: 'Depth' },
        { field: 'options', before: 'a, b', after: '' },
      ],
    },
    { part: 'Steps', name: 'Bind the seams', kind: 'ADDED', fields: [] },
    { part: 'Steps', name: 'Zigzag', kind: 'GONE', fields: [] },
  ],
};

const shown = (taken: unknown = batch) => {
  const sent = server({
    '/api/designs/4/revisions/2/to/5': comparison,
    '/api/batches/6/take-design': taken,
  });
  rendered(<ChangedDesigns batch={batch} />);
  return sent;
};

afterEach(() => vi.unstubAllGlobals());

describe('a design that was changed under a batch', () => {
  it('is told apart before the change is taken over', async () => {
    const sent = shown();
    const user = userEvent.setup();
    await user.click(screen.getByRole('button', { name: 'What is different' }));
    expect(await screen.findByText('2 in')).toBeVisible();
    expect(screen.getByText('2 1/2 in').tagName).toBe('INS');
    expect(screen.getByText('nothing')).toBeVisible();
    expect(screen.getByText('Bind the seams').parentElement).toHaveTextContent('new');
    expect(screen.getByText('Zigzag')).toHaveClass('line-through');
    await user.click(screen.getByRole('button', { name: 'Take the change over' }));
    expect(sent).toContainEqual(
      expect.objectContaining({ path: '/api/batches/6/take-design', body: { version: 3, designId: 4 } }),
    );
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  });

  it('is taken over at once as well', async () => {
    const sent = shown();
    await userEvent.click(screen.getByRole('button', { name: 'Take the change over' }));
    expect(sent.filter((one) => one.path.endsWith('/take-design'))).toHaveLength(1);
  });
});
