import { screen, within } from '@testing-library/react';
import { afterEach, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { rendered } from '../../ui/rendered.test.helper';
import { server } from '../designs/editing.test.helper';
import { OrderOfWork } from './OrderOfWork';

afterEach(() => vi.unstubAllGlobals());

const time = (minutes: number) => ({ text: `${minutes} min`, seconds: 60 * minutes });

const turn = (name: string, next: Partial<Schemas['TurnView']> = {}): Schemas['TurnView'] => ({
  name,
  lines: [1, 2],
  units: 6,
  stage: 'SEW',
  station: 'MACHINE',
  elsewhere: false,
  changes: [],
  time: time(12),
  passive: time(0),
  check: '',
  caution: '',
  note: '',
  ...next,
});

const order = (next: Partial<Schemas['OrderView']> = {}): Schemas['OrderView'] => ({
  turns: [
    turn('Sew zip', { changes: ['zip foot', 'thread matching Kelp'], elsewhere: true, lines: [2] }),
    turn('Close'),
  ],
  kinds: [
    { kind: 'NEEDLE', lineByLine: 9, now: 3 },
    { kind: 'FOOT', lineByLine: 2, now: 2 },
    { kind: 'STITCH', lineByLine: 0, now: 0 },
  ],
  walks: { kind: 'WALK', lineByLine: 6, now: 2 },
  changing: time(18),
  lineByLine: time(28),
  proven: true,
  overLeast: time(0),
  circle: [],
  ...next,
});

const batch = { id: 9, version: 3, lines: [{ number: 1 }, { number: 2 }] } as Schemas['BatchView'];

describe('the order of work', () => {
  it('says what to change at each point, how often, and what that saves', async () => {
    server({ '/api/batches/9/order': order() });
    rendered(<OrderOfWork batch={batch} />);
    const rows = await screen.findAllByRole('row');
    expect(rows[0]).toHaveTextContent(
      'change zip foot, thread matching KelpSew zip · line 2 · at the machine',
    );
    expect(rows[1]).toHaveTextContent('Close');
    expect(within(rows[1] as HTMLElement).queryByText('change')).toBeNull();
    const changes = within(screen.getByRole('list', { name: 'Changes' })).getAllByRole('listitem');
    expect(changes.map((one) => one.textContent)).toEqual([
      'needle 9 → 3',
      'foot 2',
      'ways between places 6 → 2',
    ]);
    expect(screen.getByText(/instead of 28 min line after line; no order takes less/)).toBeVisible();
  });

  it('says how far it can be from the best where that isn’t known', async () => {
    server({ '/api/batches/9/order': order({ proven: false, overLeast: time(2) }) });
    rendered(<OrderOfWork batch={batch} />);
    expect(await screen.findByText(/the best one may take up to 2 min less/)).toBeVisible();
  });

  it('names steps that wait for one another', async () => {
    server({ '/api/batches/9/order': order({ turns: [], circle: ['Box', 'Turn {ç}'] }) });
    rendered(<OrderOfWork batch={batch} />);
    expect(await screen.findByText(/“Box” waits for “Turn {ç}” and round again/)).toBeVisible();
  });
});
