import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter, Route, Routes } from 'react-router';
import { afterEach, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { keys } from '../../api/queries';
import { length, money, settings } from '../../ui/fixtures.test.helper';
import { server } from '../designs/editing.test.helper';
import CuttingPage from './CuttingPage';
import { SpoiledPanel } from './SpoiledPanel';
import { WhatIf } from './WhatIf';

afterEach(() => vi.unstubAllGlobals());

const amount = (inch: string): Schemas['AmountView'] => ({
  length: length(inch, ''),
  text: inch,
  exact: inch,
  value: 1,
});

const minutes = (text: string): Schemas['TimeView'] => ({ text, seconds: 60 });

const step = (key: string, done: boolean): Schemas['StepView'] => ({
  key,
  kind: key.includes('SQUARE') ? 'SQUARE' : 'STRIP',
  across: true,
  size: length('8 in', '20.3 cm'),
  times: 1,
  layers: 1,
  from: 0,
  to: 200_000_000,
  parts: [{ times: 4, size: length('10 ½ in', '26.7 cm'), letter: 'A', left: false, parts: [] }],
  gives: '4 of A',
  again: false,
  done,
});

const aim = (name: Schemas['AimView']['aim'], chosen: boolean, minor: number): Schemas['AimView'] => ({
  aim: name,
  chosen,
  length: length('2 yd', '1.83 m'),
  time: minutes('12 min'),
  total: money(minor),
  largest: chosen ? '22 in × 1 yd' : undefined,
});

const cloth = (laidOut: boolean, ticked = false): Schemas['ClothView'] => ({
  materialId: 3,
  name: 'Reed Stripe',
  colour: '#6f8fa8',
  directional: true,
  bySheet: false,
  usable: length('43 in', '109.2 cm'),
  cut: false,
  severalDyes: false,
  needed: amount('2 yd'),
  free: amount('6 yd'),
  pieces: [
    {
      letter: 'A',
      name: 'Outer panel',
      role: 'OUTER',
      width: length('10 ½ in', '26.7 cm'),
      height: length('8 in', '20.3 cm'),
      count: 4,
      each: 2,
      again: 1,
      lines: [1],
      notes: ['Corners cut out 1 ¼ in × 1 ¼ in at the bottom.'],
    },
  ],
  mats: laidOut
    ? [
        {
          title: 'From the roll',
          cloth: 0,
          wide: length('43 in', '109.2 cm'),
          used: length('8 in', '20.3 cm'),
          width: 1_092_200_000,
          length: 203_200_000,
          pieces: [],
          rests: [
            {
              x: 0,
              y: 0,
              width: 400_000_000,
              height: 203_200_000,
              wide: length('15 ¾ in', '40 cm'),
              high: length('8 in', '20.3 cm'),
            },
          ],
          steps: [step('0:SQUARE:0:0', ticked), step('0:STRIP:0:0', false)],
        },
      ]
    : [],
  bill: laidOut
    ? {
        over: '1.4 %',
        overLength: length('1 ⅛ in', '2.9 cm'),
        settings: 1,
        cuts: 6,
        curves: length('47 ¼ in', '1.2 m'),
        curvesAtOnce: 4,
        time: minutes('12 min'),
        cloth: money(1960),
        goesBack: money(240),
        total: money(2100),
        kept: 1,
        largest: { wide: length('15 ¾ in', '40 cm'), high: length('8 in', '20.3 cm') },
      }
    : undefined,
  aims: laidOut ? [aim('LEAST_CLOTH', false, 2250), aim('MONEY', true, 2100)] : [],
});

const cutting = (laidOut: boolean, more: Partial<Schemas['CuttingView']> = {}): Schemas['CuttingView'] => ({
  batchId: 9,
  version: 1,
  lines: [],
  designName: 'Heron pouch',
  sizeName: 'medium',
  units: 2,
  stage: 'PLANNED',
  aim: 'MONEY',
  begun: false,
  cloths: [cloth(laidOut)],
  trims: [],
  cautions: [{ stage: 'CUT', title: 'Blade', text: 'Close it each time you put it down.' }],
  ...more,
});

const idle: Schemas['SearchView'] = { running: false, failed: false, progress: 1 };
const base = '/api/batches/9/cutting';

function page(answers: Record<string, unknown>) {
  const sent = server(answers);
  const client = new QueryClient({ defaultOptions: { queries: { retry: false, staleTime: Infinity } } });
  client.setQueryData(keys.settings, settings('INCH'));
  render(
    <QueryClientProvider client={client}>
      <MemoryRouter initialEntries={['/batches/9/cutting']}>
        <Routes>
          <Route path="/batches/:id/cutting" element={<CuttingPage />} />
        </Routes>
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return sent;
}

const trims: Schemas['TrimLengths'][] = [
  {
    materialId: 5,
    name: 'Webbing',
    colour: '#333',
    needed: amount('2 yd'),
    free: amount('3 yd'),
    isLeast: true,
    rolls: [],
  },
];

describe('the cutting sheet', () => {
  it('begins to search where nothing is laid out, once', async () => {
    const sent = page({ [base]: cutting(false), [`${base}/search`]: idle });
    await waitFor(() =>
      expect(sent.filter((one) => one.body)).toEqual([
        { path: `${base}/search`, body: { aim: 'MONEY', seconds: 1, fromOffcuts: true } },
      ]),
    );
    expect(screen.queryByRole('region', { name: 'Cuts in order' })).toBeNull();
  });

  it('says what it takes, what it leaves and what the other aims would cost', async () => {
    const sent = page({ [base]: cutting(true), [`${base}/search`]: idle, [`${base}/aim`]: cutting(true) });
    expect(await screen.findByRole('heading', { name: 'Reed Stripe: 2 yd of 6 yd' })).toBeInTheDocument();
    const facts = screen.getByRole('region', { name: 'What it takes' });
    expect(facts).toHaveTextContent('over the least possible; 1 ⅛ in of cloth1.4 %');
    expect(facts).toHaveTextContent('6 cuts, 1 ruler setting, 47 ¼ in along templates, 4 pieces at a time');
    expect(facts).toHaveTextContent('6 cuts, 1 ruler setting');
    expect(facts).toHaveTextContent('goes back on the shelf, worth 2.4015 ¾ × 8 in');
    expect(facts).toHaveTextContent('4 + 1 once more');
    const aims = within(screen.getByRole('group', { name: 'What counts' })).getAllByRole('button');
    expect(aims.map((one) => one.textContent)).toEqual([
      'least money 21.002 yd, 12 min; back: 22 in × 1 yd',
      'least cloth 22.502 yd, 12 min',
    ]);
    await userEvent.click(aims[1] as HTMLElement);
    expect(sent.at(-1)).toEqual({ path: `${base}/aim`, body: { aim: 'LEAST_CLOTH' } });
  });

  it('counts sheets where cloth is bought by the sheet, and asks for no length of it', async () => {
    const laid = cloth(true);
    const felt: Schemas['ClothView'] = {
      ...laid,
      name: 'Felt sheets',
      bySheet: true,
      needed: amount('7'),
      free: amount('5'),
      shortBy: amount('2'),
      bill: laid.bill && { ...laid.bill, overSheets: 1, kept: 0, largest: undefined },
      aims: laid.aims.map((one) => ({ ...one, sheets: 7, largest: undefined })),
    };
    page({ [base]: cutting(true, { cloths: [felt] }), [`${base}/search`]: idle });
    expect(await screen.findByText('2 of Felt sheets are missing.')).toBeVisible();
    const facts = screen.getByRole('region', { name: 'What it takes' });
    expect(facts).toHaveTextContent('over the least possible; 1 sheet1.4 %');
    expect(facts).toHaveTextContent('of a sheet is booked back');
    expect(screen.getByRole('button', { name: /least money/ })).toHaveTextContent('7 sheets, 12 min');
    expect(screen.queryByRole('form', { name: 'What if' })).toBeNull();
  });

  it('ticks the next step with one key', async () => {
    const ticked = cutting(true, { begun: true, cloths: [cloth(true, true)] });
    const sent = page({ [base]: cutting(true), [`${base}/search`]: idle, [`${base}/step`]: ticked });
    await screen.findByRole('region', { name: 'Cuts in order' });
    await userEvent.keyboard('c');
    await waitFor(() => expect(screen.getByRole('checkbox', { name: 'Square the end: cut' })).toBeChecked());
    expect(sent.find((one) => one.path === `${base}/step`)?.body).toEqual({
      materialId: 3,
      step: '0:SQUARE:0:0',
      done: true,
    });
    expect(screen.getByRole('button', { name: 'Search longer' })).toBeDisabled();
  });

  it('ticks nothing of a cloth that is not shown', async () => {
    const sent = page({
      [base]: cutting(true, { trims }),
      [`${base}/search`]: idle,
      [`${base}/step`]: cutting(true),
    });
    await screen.findByRole('region', { name: 'Cuts in order' });
    await userEvent.click(screen.getByRole('button', { name: 'Lengths' }));
    await userEvent.keyboard('c');
    expect(sent.some((one) => one.path === `${base}/step`)).toBe(false);
  });

  it('shows how far a search is, and stops it', async () => {
    const running = {
      running: true,
      failed: false,
      progress: 0.4,
      best: '2 yd, 1.9 % over the least possible',
    };
    const answers: Record<string, unknown> = {
      [base]: cutting(true),
      [`${base}/search`]: running,
      [`${base}/search/stop`]: idle,
    };
    const sent = page(answers);
    expect(await screen.findByText(/2 yd, 1.9 % over the least possible/)).toBeInTheDocument();
    await userEvent.click(screen.getByRole('button', { name: 'Stop and keep it' }));
    answers[`${base}/search`] = idle;
    await waitFor(() => expect(screen.queryByText(/Looking for better layouts/)).toBeNull());
    expect(sent.some((one) => one.path === `${base}/search/stop`)).toBe(true);
  });

  it('says why a cloth can’t be laid out', async () => {
    const trouble = { ...cloth(false), trouble: 'Outer panel is 60 in wide, and the cloth only 43 in.' };
    page({ [base]: cutting(false, { cloths: [trouble] }), [`${base}/search`]: idle });
    expect(await screen.findByText(/60 in wide/)).toBeInTheDocument();
  });

  it('says that pieces are cut larger where the cloth shrinks afterwards', async () => {
    const unwashed = { ...cloth(true), cutLarger: 'It shrinks by 5 % after cutting.' };
    page({ [base]: cutting(true, { cloths: [unwashed] }), [`${base}/search`]: idle });
    expect(await screen.findByText('It shrinks by 5 % after cutting.')).toBeInTheDocument();
  });

  it('shows lengths in the place of a cloth', async () => {
    page({ [base]: cutting(true, { trims }), [`${base}/search`]: idle });
    await userEvent.click(await screen.findByRole('button', { name: 'Lengths' }));
    expect(screen.getByRole('heading', { name: 'Webbing: 2 yd of 3 yd' })).toBeInTheDocument();
    expect(screen.queryByRole('region', { name: 'Cuts in order' })).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: /Reed Stripe/ }));
    expect(screen.getByRole('region', { name: 'Cuts in order' })).toBeInTheDocument();
  });

  it('refuses a file that isn’t a layout, and keeps what is there', async () => {
    page({ [base]: cutting(true), [`${base}/search`]: idle });
    const field = await screen.findByLabelText('Take a layout from a file');
    await userEvent.upload(field, new File(['not json'], 'list.json', { type: 'application/json' }));
    expect(await screen.findByText(/“list.json” isn’t a layout/)).toBeInTheDocument();
    expect(screen.getByRole('region', { name: 'Cuts in order' })).toBeInTheDocument();
  });
});

const alone = (what: React.ReactNode) => {
  const client = new QueryClient();
  client.setQueryData(keys.settings, settings('INCH'));
  render(<QueryClientProvider client={client}>{what}</QueryClientProvider>);
};

describe('what if', () => {
  it('is asked with what is typed, and answered in sentences', async () => {
    const sent = server({ [`${base}/what-if`]: { sentences: ['On cloth 54 in wide it takes 2 yd.'] } });
    alone(<WhatIf batchId={9} materialId={3} />);
    await userEvent.type(screen.getByLabelText('it were as wide as (in)'), '54');
    await userEvent.click(screen.getByRole('checkbox', { name: 'pieces turned' }));
    await userEvent.click(screen.getByRole('button', { name: 'Try it' }));
    expect(await screen.findByText('On cloth 54 in wide it takes 2 yd.')).toBeInTheDocument();
    expect(sent.find((one) => one.body)?.body).toEqual({
      materialId: 3,
      width: '54',
      more: '',
      fewer: 1,
      turned: false,
    });
  });
});

describe('a spoiled piece', () => {
  it('is cut once more', async () => {
    const sent = server({ [`${base}/spoiled`]: cutting(true) });
    const close = vi.fn();
    alone(<SpoiledPanel batchId={9} cloth={cloth(true)} onClose={close} />);
    await userEvent.clear(screen.getByLabelText('How many'));
    await userEvent.type(screen.getByLabelText('How many'), '2');
    await userEvent.click(screen.getByRole('button', { name: 'Cut it once more' }));
    await waitFor(() => expect(close).toHaveBeenCalled());
    expect(sent.find((one) => one.body)?.body).toEqual({
      requestId: expect.any(String) as string,
      materialId: 3,
      letter: 'A',
      count: '2',
    });
  });

  it('comes from the dye lot of its bag', async () => {
    const sent = server({ [`${base}/spoiled`]: cutting(true) });
    const [mat] = cloth(true).mats;
    if (!mat) throw new Error('no mat');
    const sides = { x: 0, y: 0, width: 266_700_000, height: 203_200_000, turned: false };
    const pieces = [{ letter: 'A', number: 1, line: 1, bag: 1, step: '0:STRIP:0:0', ...sides }];
    const mats = [
      { ...mat, pieces, title: 'From roll 1, dye lot A' },
      { ...mat, pieces, title: 'From roll 2, dye lot B', cloth: 1 },
    ];
    alone(<SpoiledPanel batchId={9} cloth={{ ...cloth(true), severalDyes: true, mats }} onClose={vi.fn()} />);
    await userEvent.selectOptions(screen.getByLabelText('It was cut from'), 'roll 2, dye lot B');
    await userEvent.click(screen.getByRole('button', { name: 'Cut it once more' }));
    await waitFor(() => expect(sent.find((one) => one.body)?.body).toMatchObject({ letter: 'A', cloth: 1 }));
  });
});
