import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Schemas } from '../api/client';
import { rendered } from './rendered.test.helper';
import { Tape } from './Tape';

const tape: Schemas['TapeView'] = {
  days: ['2026-11-24', '2026-11-25', '2026-11-28'].map((date, i) => ({
    date,
    free: { text: '', seconds: [7200, 9000, 0][i] ?? 0 },
  })),
  laid: [{ batchId: 4, label: 'Heron pouch medium', stage: 'CUT', from: 0, to: 1.5, worker: 1 }],
  pins: [
    { kind: 'FAIR', label: 'Lantern Quay', date: '2026-11-25', fairId: 1 },
    { kind: 'DUE', label: 'A school', date: '2026-11-24', batchId: 4 },
  ],
  free: { text: '4 h 30', seconds: 16200 },
  planned: { text: '2 h', seconds: 7200 },
};

describe('the tape', () => {
  it('says what is pinned to whom can’t see it', () => {
    rendered(<Tape tape={tape} today="2026-11-24" />);
    expect(screen.getByRole('group')).toHaveAccessibleName(/Lantern Quay, Wed 25 Nov; A school, Tue 24 Nov/);
  });

  it('writes the free hours of each day, and a dash where there are none', () => {
    rendered(<Tape tape={tape} today="2026-11-24" />);
    expect(screen.getByText('2 h')).toBeInTheDocument();
    expect(screen.getByText('2½ h')).toBeInTheDocument();
    expect(screen.getByText('–')).toBeInTheDocument();
  });

  it('opens the batch whose work lies there', async () => {
    rendered(<Tape tape={tape} today="2026-11-24" />);
    const work = screen.getByRole('link', { name: /Heron pouch medium, open the batch/ });
    expect(work).toHaveAttribute('href', '/batches/4');
    await userEvent.click(work);
  });

  it('goes by the numbers of the days where there is little room, and opens nothing that isn’t kept', () => {
    const laid = [{ label: 'These bags', stage: 'PLANNED' as const, from: 0, to: 1, worker: 1 }];
    rendered(<Tape tape={{ ...tape, laid }} today="2026-11-24" width={150} />);
    expect(screen.queryByText('2 h')).toBeNull();
    expect(screen.queryByText(/today/)).toBeNull();
    expect(screen.queryByRole('link', { name: /These bags/ })).toBeNull();
  });

  it('tells fairs from due days in words', () => {
    rendered(<Tape tape={tape} today="2026-11-24" />);
    expect(screen.getByText(/fair, Wed 25 Nov/)).toBeInTheDocument();
    expect(screen.getByText(/due, Tue 24 Nov/)).toBeInTheDocument();
  });
});
