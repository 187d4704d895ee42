import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, vi } from 'vitest';
import { amount, server } from '../../ui/fixtures.test.helper';
import { rendered } from '../../ui/rendered.test.helper';
import GatherPage from './GatherPage';
import TallyPage from './TallyPage';

beforeEach(() => localStorage.clear());
afterEach(() => vi.unstubAllGlobals());

const gather = {
  batchId: 4,
  name: 'Heron pouch',
  forWhat: 'Pier Hall',
  open: true,
  items: [
    {
      materialId: 1,
      part: 'WHOLE',
      kind: 'CLOTH',
      name: 'Reed Stripe',
      colour: '#345',
      place: 'shelf A',
      amount: amount('30 in'),
      onHand: amount('2 yd'),
      lots: ['lot 7, dye lot M-22'],
      isShort: false,
    },
    {
      materialId: 2,
      part: 'WHOLE',
      kind: 'NOTION',
      name: 'Slider',
      colour: '#999',
      place: '',
      amount: amount('12'),
      onHand: amount('3'),
      lots: [],
      isShort: true,
    },
  ],
  tools: [{ kind: 'Feet', which: ['zip foot'] }],
  checks: [
    { ok: false, sentence: 'Not enough is free of Slider.' },
    { ok: true, sentence: 'The patterns may be sewn for sale.' },
  ],
  oneFirst: false,
  notes: [],
  cautions: [{ stage: 'CUT', title: 'Blade', text: 'Close it.' }],
};

describe('gathering', () => {
  it('lists what to fetch by its place, and keeps what was ticked', async () => {
    const sent = server({ '/api/batches/4/gather': gather, '/api/batches/4/one-first': undefined });
    const at = { path: '/batches/4/gather', route: '/batches/:id/gather' };
    const first = rendered(<GatherPage />, 'INCH', undefined, at);
    const list = await screen.findByRole('region', { name: 'What to fetch' });
    expect(within(list).getByRole('heading', { name: 'shelf A' })).toBeVisible();
    expect(within(list).getByText('lot 7, dye lot M-22')).toBeVisible();
    expect(within(list).getByText('not enough')).toBeVisible();
    await userEvent.click(within(list).getByRole('checkbox', { name: /Reed Stripe/ }));
    await userEvent.click(within(list).getByRole('checkbox', { name: 'zip foot' }));
    expect(within(list).getByText('of 3 fetched', { exact: false })).toHaveTextContent('2 of 3 fetched');
    await userEvent.click(screen.getByRole('checkbox', { name: /Sew one first/ }));
    expect(sent.some((one) => one.path === '/api/batches/4/one-first?on=true')).toBe(true);
    await userEvent.type(screen.getByLabelText('Bags in a bundle'), '{Backspace}12');
    expect(screen.getByRole('link', { name: 'Bundle tickets' })).toHaveAttribute(
      'href',
      '/api/batches/4/bundle-tickets.pdf?paper=LETTER&bags=12',
    );
    first.unmount();
    rendered(<GatherPage />, 'INCH', undefined, at);
    expect(await screen.findByRole('checkbox', { name: 'zip foot' })).toBeChecked();
  });
});

describe('the tally', () => {
  const time = (text: string, seconds: number) => ({ text, seconds });
  const tally = {
    batchId: 4,
    open: false,
    timed: true,
    lines: [
      {
        number: 1,
        designId: 1,
        what: 'Heron pouch small',
        cloth: 'Reed Stripe',
        wanted: 12,
        started: 12,
        good: 11,
        seconds: 0,
        scrap: 1,
        prices: [
          {
            channel: 'Craft stall',
            price: { amount: '17.00', minor: 1700 },
            left: { amount: '2.07', minor: 207 },
            perHour: { amount: '22.90', minor: 2290 },
          },
        ],
        plannedCost: { amount: '13.48', minor: 1348 },
        cost: { amount: '16.13', minor: 1613 },
      },
    ],
    steps: [
      {
        name: 'Sew the zip',
        planned: time('1 h', 3600),
        took: time('1 h 20', 4800),
        tookMore: 1200,
        timed: 12,
      },
      { name: 'Cut', planned: time('30 min', 1800), took: time('30 min', 1800), tookMore: 0, timed: 0 },
    ],
    materials: [
      {
        materialId: 1,
        part: 'WHOLE',
        name: 'Reed Stripe',
        planned: amount('30 in'),
        used: amount('31 in'),
        onHand: amount('2 yd'),
        asked: true,
      },
    ],
    slips: [{ step: 'Box it', bags: 1, outcome: 'SCRAP', reason: 'hole at the corner' }],
    planned: time('1 h 30', 5400),
    took: time('1 h 50', 6600),
    setUps: 3,
    learnt: ['“Sew the zip” is planned with 6 min each from now on, and was with 5 min.'],
  };

  it('says what came out and took, and asks what is really left', async () => {
    const sent = server({
      '/api/batches/4/tally': tally,
      '/api/notes/about': [],
      '/api/stock-takes': { counted: 1, differences: 1 },
    });
    rendered(<TallyPage />, 'INCH', undefined, { path: '/batches/4/tally', route: '/batches/:id/tally' });
    const out = await screen.findByRole('region', { name: 'What came out' });
    expect(out).toHaveTextContent('Craft stall: at 17.00 one leaves 2.07, an hour 22.90');
    expect(within(out).getByRole('row', { name: /Heron pouch small/ })).toHaveTextContent(
      /11.*1.*13.48.*16.13/,
    );
    expect(screen.getByText('not timed', { exact: false })).toBeVisible();
    expect(screen.getByText(/hole at the corner/)).toHaveTextContent('scrap');
    await userEvent.type(screen.getByLabelText('Left of Reed Stripe'), '1 ydd{Backspace} 30 in');
    await userEvent.click(screen.getByRole('button', { name: 'Set the shelf right' }));
    expect(sent.find((one) => one.path === '/api/stock-takes')?.body).toMatchObject({
      lines: [{ materialId: 1, there: '1 yd 30 in', bookValue: amount('2 yd').value }],
    });
  });
});
