import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { amount, money, working } from '../../ui/fixtures.test.helper';
import { rendered } from '../../ui/rendered.test.helper';
import { server } from '../designs/editing.test.helper';
import { Replacing } from './Replacing';
import { Reserving } from './Reserving';

afterEach(() => vi.unstubAllGlobals());

const need = (held: number): Schemas['NeedLine'] => ({
  materialId: 7,
  slot: 'outer',
  part: 'WHOLE',
  name: 'Juniper Dot',
  kind: 'CLOTH',
  needed: amount('24', 24),
  onHand: amount('20', 20),
  held: amount(String(held), held),
  heldForOthers: amount('0', 0),
  shortBy: amount('4', 4),
  leavesWhenCut: true,
  taken: false,
  shares: [],
  working: working('24'),
});

const batch = { id: 5, stage: 'PLANNED' } as Schemas['BatchView'];
const sheet = (held: number) => ({ needs: [need(held)] }) as unknown as Schemas['BatchSheet'];

describe('holding material for a batch', () => {
  it('says what goes short', async () => {
    const sent = server({
      '/api/batches/5/reserve': { batch: {}, missing: ['“Juniper Dot” goes short by 4.'] },
    });
    rendered(<Reserving batch={batch} sheet={sheet(0)} />);
    expect(screen.queryByRole('button', { name: 'Give it back' })).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Hold it for this batch' }));
    expect(await screen.findByText('“Juniper Dot” goes short by 4.')).toBeVisible();
    expect(sent[0]?.path).toBe('/api/batches/5/reserve');
  });

  it('holds the rest, or gives all of it back', async () => {
    const sent = server({ '/api/batches/5/release': {} });
    rendered(<Reserving batch={batch} sheet={sheet(10)} />);
    expect(screen.getByRole('button', { name: 'Hold the rest too' })).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Give it back' }));
    expect(sent[0]?.path).toBe('/api/batches/5/release');
  });

  it('has nothing more to hold once all of it is held', () => {
    rendered(<Reserving batch={batch} sheet={sheet(24)} />);
    expect(screen.queryByRole('button', { name: /Hold/ })).toBeNull();
  });
});

describe('something else in its place', () => {
  const form = { materials: [] } as unknown as Schemas['BatchForm'];

  it('is asked for, and chosen', async () => {
    const choose = vi.fn();
    server({
      '/api/batches/replacements': [
        {
          materialId: 9,
          name: 'Reed Stripe',
          colour: '#123456',
          needed: amount('22', 22),
          free: amount('40', 40),
          cost: money(1190),
        },
      ],
    });
    rendered(<Replacing line={0} need={need(0)} form={form} onChoose={choose} />);
    await userEvent.click(screen.getByRole('button', { name: 'What else would do?' }));
    await userEvent.click(
      await screen.findByRole('button', { name: /Reed Stripe.*takes 22 of 40, 11.90 each/ }),
    );
    expect(choose).toHaveBeenCalledWith('outer', 9);
  });

  it('says so when there is nothing', async () => {
    server({ '/api/batches/replacements': [] });
    rendered(<Replacing line={0} need={need(0)} form={form} onChoose={() => {}} />);
    await userEvent.click(screen.getByRole('button', { name: 'What else would do?' }));
    expect(await screen.findByText(/Nothing else on the shelf would do/)).toBeVisible();
  });
});
