import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { design, server } from '../../ui/fixtures.test.helper';
import { rendered } from '../../ui/rendered.test.helper';
import { RevisionsTab } from './RevisionsTab';

const line = (number: number, more: Partial<Schemas['RevisionLine']> = {}): Schemas['RevisionLine'] => ({
  number,
  version: 0,
  madeOn: `2026-11-0${number}`,
  note: '',
  batches: 0,
  bags: 0,
  lost: 0,
  changes: number,
  timedSteps: 0,
  slips: 0,
  slipReason: '',
  notes: [],
  ...more,
});

const past: Schemas['RevisionsView'] = {
  id: 4,
  version: 7,
  revisions: [
    line(3),
    line(2, { note: 'as the paper said' }),
    line(1, {
      changes: undefined,
      batches: 2,
      bags: 9,
      lost: 1,
      each: { text: '34 min', seconds: 2040 },
      timedSteps: 7,
      slips: 2,
      slipReason: 'zip cut short',
      notes: [{ on: '2026-11-02', about: 'A', text: 'cut it a hair wider' }],
    }),
  ],
};

const comparison = (from: number, to: number): Schemas['RevisionComparison'] => ({
  from,
  to,
  before: design(),
  after: design(),
  differences: [
    {
      part: 'Pieces',
      name: 'A Outer {ç}',
      kind: 'CHANGED',
      fields: [{ field: 'how many', before: String(from), after: String(to) }],
    },
    { part: 'Notions', name: 'Snap', kind: 'GONE', fields: [] },
  ],
});

const shown = () => {
  const sent = server({
    '/api/designs/4/revisions/2/to/3': comparison(2, 3),
    '/api/designs/4/revisions/1/to/3': comparison(1, 3),
    '/api/designs/4/revisions/1/to/2': comparison(1, 2),
    '/api/designs/4/revisions': past,
    '/api/designs/preview': { sizes: [], findings: [], canBeSewn: false },
  });
  rendered(<RevisionsTab designId={4} size="small" />);
  return sent;
};

afterEach(() => vi.unstubAllGlobals());

describe('revisions of a design', () => {
  it('tells what the last change changed, and what was made with each', async () => {
    shown();
    expect(await screen.findByText('A Outer {ç}')).toBeVisible();
    expect(screen.getByText('Snap')).toHaveClass('line-through');
    expect(screen.getByText('2 batches, 9 bags, 1 lost')).toBeVisible();
    expect(screen.queryByRole('button', { name: 'Bring it back' })).toBeNull();
  });

  it('tells what was learnt at the bench with one, beside it', async () => {
    shown();
    await userEvent.click(await screen.findByRole('button', { name: /9 bags/ }));
    const learnt = screen.getByRole('region', { name: 'Learnt at the bench with revision 1' });
    expect(learnt).toHaveTextContent('34 min a bag, as it was timed at 7 steps');
    expect(learnt).toHaveTextContent('Something went wrong with 2 bags, most often: zip cut short');
    expect(learnt).toHaveTextContent('A: cut it a hair wider 2 Nov 2026');
    await userEvent.click(screen.getByRole('button', { name: /as the paper said/ }));
    expect(screen.queryByRole('region', { name: /Learnt at the bench/ })).toBeNull();
  });

  it('compares an earlier one with how it is now, by the keyboard', async () => {
    const sent = shown();
    const user = userEvent.setup();
    const second = await screen.findByRole('button', { name: /as the paper said/ });
    second.focus();
    await user.keyboard('{Enter}');
    await user.click(await screen.findByRole('button', { name: 'With 3, as it is now' }));
    await waitFor(() => expect(screen.getByText('Revision 3')).toBeVisible());
    await user.click(screen.getByRole('button', { name: 'Bring it back' }));
    expect(sent).toContainEqual(
      expect.objectContaining({ path: '/api/designs/4/revisions/2/brought-back', body: { version: 7 } }),
    );
  });

  it('keeps a note once its field is left, and only if it was changed', async () => {
    const sent = shown();
    const user = userEvent.setup();
    const field = await screen.findByLabelText('Why revision 3');
    await user.click(field);
    await user.tab();
    expect(sent.filter((one) => one.path.endsWith('/note'))).toHaveLength(0);
    await user.type(field, 'wider ✂');
    await user.tab();
    await waitFor(() =>
      expect(sent).toContainEqual(
        expect.objectContaining({
          path: '/api/designs/4/revisions/3/note',
          body: { version: 0, note: 'wider ✂' },
        }),
      ),
    );
  });

  it('says of the first that it began there', async () => {
    shown();
    await userEvent.click(await screen.findByRole('button', { name: /how it began/ }));
    expect(await screen.findByText('The design began with this one.')).toBeVisible();
  });
});
