import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { rendered } from '../../ui/rendered.test.helper';
import { server } from '../designs/editing.test.helper';
import { OrderOfWork } from './OrderOfWork';

afterEach(() => vi.unstubAllGlobals());

const time = (minutes: number) => ({ text: `${minutes} min`, seconds: 60 * minutes });

const turn = (name: string, next: Partial<Schemas['TurnView']> = {}): Schemas['TurnView'] => ({
  key: name.toLowerCase(),
  after: [],
  name,
  lines: [1, 2],
  units: 6,
  stage: 'SEW',
  station: 'MACHINE',
  machine: '',
  mayBeApart: false,
  bagsTimed: 0,
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
  version: 3,
  wishes: { before: [], threadFirst: '', without: [] },
  prices: [],
  threads: ['navy', 'rust'],
  lacks: [],
  matches: [],
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

  it('names a foot that nobody has', async () => {
    const lack = '“Sew zip” needs zip foot, which isn’t among what you have.';
    server({ '/api/batches/9/order': order({ lacks: [lack] }) });
    rendered(<OrderOfWork batch={batch} />);
    expect(await screen.findByText(lack)).toBeVisible();
  });

  it('names steps that wait for one another', async () => {
    server({ '/api/batches/9/order': order({ turns: [], circle: ['Box', 'Turn {ç}'] }) });
    rendered(<OrderOfWork batch={batch} />);
    expect(await screen.findByText(/“Box” waits for “Turn {ç}” and round again/)).toBeVisible();
  });

  const wished = (sent: ReturnType<typeof server>) =>
    sent.find((one) => one.path === '/api/batches/9/wishes')?.body as Schemas['WishesForm'] | undefined;

  it('moves an operation to where it may go, by button or by key, and to nowhere else', async () => {
    const turns = [turn('Mark'), turn('Straps', { after: [0] }), turn('Pocket', { after: [0] })];
    const sent = server({ '/api/batches/9/order': order({ turns }), '/api/batches/9/wishes': order() });
    rendered(<OrderOfWork batch={batch} />);
    expect(await screen.findByRole('button', { name: 'Pocket earlier' })).toBeEnabled();
    expect(screen.getByRole('button', { name: 'Straps earlier' })).toBeDisabled();
    expect(screen.getByRole('button', { name: 'Mark later' })).toBeDisabled();
    fireEvent.keyDown(screen.getByRole('button', { name: 'Pocket earlier' }), {
      key: 'ArrowUp',
      altKey: true,
    });
    await waitFor(() =>
      expect(wished(sent)).toEqual({
        version: 3,
        wishes: { before: [{ first: 'pocket', then: 'straps' }], threadFirst: '', without: [] },
      }),
    );
  });

  it('drops what is dragged where it may go, and nowhere else', async () => {
    const turns = [
      turn('Mark'),
      turn('Straps', { after: [0] }),
      turn('Flap', { after: [1] }),
      turn('Pocket', { after: [0] }),
    ];
    const sent = server({ '/api/batches/9/order': order({ turns }), '/api/batches/9/wishes': order() });
    rendered(<OrderOfWork batch={batch} />);
    const rows = await screen.findAllByRole('row');
    const dataTransfer = { setData: () => {}, effectAllowed: '' };
    const drag = (from: number, to: number) => {
      fireEvent.dragStart(rows[from] as HTMLElement, { dataTransfer });
      fireEvent.dragOver(rows[to] as HTMLElement, { dataTransfer });
      fireEvent.drop(rows[to] as HTMLElement, { dataTransfer });
      fireEvent.dragEnd(rows[from] as HTMLElement, { dataTransfer });
    };
    drag(2, 0);
    drag(1, 2);
    expect(wished(sent)).toBeUndefined();
    drag(3, 1);
    await waitFor(() => expect(wished(sent)?.wishes.before).toEqual([{ first: 'pocket', then: 'straps' }]));
  });

  it('takes operations apart, and keeps bundles', async () => {
    const sent = server({
      '/api/batches/9/order': order({ turns: [turn('Straps', { mayBeApart: true })] }),
      '/api/batches/9/wishes': order({
        turns: [turn('Straps')],
        version: 4,
        wishes: { before: [], threadFirst: '', without: [], apart: ['straps'] },
        prices: [
          {
            words: '“Straps” line after line',
            apart: 'straps',
            more: '+2 min',
            asksForNothing: false,
            bundle: false,
            pressInOneGo: false,
          },
        ],
      }),
    });
    rendered(<OrderOfWork batch={batch} />);
    fireEvent.click(await screen.findByRole('button', { name: 'Take apart' }));
    await waitFor(() => expect(wished(sent)?.wishes.apart).toEqual(['Straps']));
    const bundles = screen.getByLabelText('In bundles of');
    fireEvent.change(bundles, { target: { value: '6x' } });
    fireEvent.keyDown(bundles, { key: 'Enter' });
    await waitFor(() =>
      expect(
        sent
          .filter((one) => one.path === '/api/batches/9/wishes')
          .map((one) => (one.body as Schemas['WishesForm']).wishes.bundle),
      ).toEqual([undefined, 6]),
    );
    fireEvent.click(screen.getByLabelText('Stop for the day only where it can be put away'));
    await waitFor(() =>
      expect(sent.some((one) => (one.body as Schemas['WishesForm'] | undefined)?.wishes?.putAway)).toBe(true),
    );
    fireEvent.click(screen.getByLabelText('To the press as seldom as may be'));
    await waitFor(() =>
      expect(sent.some((one) => (one.body as Schemas['WishesForm'] | undefined)?.wishes?.pressInOneGo)).toBe(
        true,
      ),
    );
  });

  it('says what each wish costs, and takes one back', async () => {
    const before = { first: 'pocket', then: 'straps' };
    const without = { turn: 'straps', part: 'FOOT' as const };
    const sent = server({
      '/api/batches/9/order': order({
        wishes: { before: [before], threadFirst: 'navy', without: [without] },
        prices: [
          {
            words: 'What is sewn with navy first',
            more: '+0 min',
            asksForNothing: false,
            bundle: false,
            pressInOneGo: false,
          },
          {
            words: '“Pocket” before “Straps”',
            before,
            more: '+1.6 min',
            asksForNothing: false,
            bundle: false,
            pressInOneGo: false,
          },
          {
            words: '“Straps” without another foot',
            without,
            more: '−0.8 min',
            asksForNothing: true,
            bundle: false,
            pressInOneGo: false,
          },
        ],
      }),
      '/api/batches/9/wishes': order(),
    });
    rendered(<OrderOfWork batch={batch} />);
    const list = await screen.findByRole('list', { name: 'What you want of it' });
    const rows = within(list).getAllByRole('listitem');
    expect(rows[0]).toHaveTextContent('What is sewn with navy first costs nothing');
    expect(rows[1]).toHaveTextContent('“Pocket” before “Straps” +1.6 min');
    expect(rows[2]).toHaveTextContent('isn’t there any more');
    fireEvent.click(within(rows[1] as HTMLElement).getByRole('button', { name: 'Take back' }));
    await waitFor(() =>
      expect(wished(sent)?.wishes).toMatchObject({ before: [], threadFirst: 'navy', without: [without] }),
    );
  });

  it('says which thread matches which cloth, and takes the maker’s word for another', async () => {
    const match = {
      cloth: 4,
      clothName: 'Reed Stripe',
      clothColour: '#6f8fa8',
      thread: 20,
      name: 'Slate 50',
      isChosen: false,
      passable: [
        { id: 20, name: 'Slate 50', colour: '#4c5866' },
        { id: 21, name: 'Navy 50', colour: '#22304f', saves: time(3) },
      ],
    };
    const sent = server({
      '/api/batches/9/order': order({ matches: [match] }),
      '/api/batches/9/wishes': order(),
    });
    rendered(<OrderOfWork batch={batch} />);
    const select = await screen.findByLabelText('Reed Stripe is sewn with');
    expect(select).toHaveDisplayValue('Slate 50, the nearest');
    expect(screen.getByText(/would save/)).toHaveTextContent('Navy 50 would save 3 min');
    fireEvent.change(select, { target: { value: '21' } });
    await waitFor(() => expect(wished(sent)?.wishes.matching).toEqual([{ cloth: 4, thread: 21 }]));
  });

  it('shows what could be done without, and does without it', async () => {
    const without = { turn: 'close', part: 'FOOT' as const };
    const sent = server({
      '/api/batches/9/order': order(),
      '/api/batches/9/order/savings': [{ without, name: 'Close', change: 'standard foot', saves: time(2) }],
      '/api/batches/9/wishes': order(),
    });
    rendered(<OrderOfWork batch={batch} />);
    fireEvent.click(await screen.findByRole('button', { name: 'What could be done without?' }));
    expect(await screen.findByText(/“Close” without standard foot: saves/)).toHaveTextContent('2 min');
    fireEvent.click(screen.getByRole('button', { name: 'Do without' }));
    await waitFor(() => expect(wished(sent)?.wishes.without).toEqual([without]));
  });
});
