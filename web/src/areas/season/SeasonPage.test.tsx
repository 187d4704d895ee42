import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { amount, money } from '../../ui/fixtures.test.helper';
import { rendered } from '../../ui/rendered.test.helper';
import { server } from '../designs/editing.test.helper';
import SeasonPage from './SeasonPage';
import { judged, whole, withJudgement, type Form, type Plan, type Row } from './season';

const form: Form = {
  version: 3,
  fairs: [16],
  shop: true,
  weeks: '8',
  hours: '',
  money: '',
  pieces: '',
  keeps: '30',
  aim: 'BEST_MEAN',
  judgements: [],
  occasions: [],
  atLeast: [],
};

const outcome = (pieces: number, more: Partial<Schemas['SeasonOutcomeView']> = {}) => ({
  pieces,
  time: { text: '3 h', seconds: 10_800 },
  spent: money(2000),
  expected: money(50_000),
  ofMaking: money(9000),
  badDay: money(40_000),
  goodDay: money(60_000),
  perHour: money(3000),
  doneOn: '2026-05-09',
  isLate: false,
  broken: [],
  ...more,
});

const row = (kind: string, design: string, make: number): Row => ({
  kind,
  designId: 7,
  design,
  size: 'small',
  cloth: 'Reed Stripe',
  have: 2,
  make,
  wanted: 6.2,
  low: 3.1,
  high: 12.4,
  buyers: '6,2 (3,1 to 12)',
  sold: 5,
  soldOut: 40,
  each: { text: '20 min', seconds: 1200 },
  price: money(1300),
  next: money(610),
  reason: `One more ${design} would bring 6.10.`,
  rests: '12 sold in 3 fairs or weeks.',
  judgement: 100,
  atLeast: 0,
});

const plan = (more: Partial<Plan> = {}): Plan => ({
  form,
  today: '2026-05-01',
  until: '2026-05-12',
  freeHours: { text: '3 h 14', seconds: 11_640 },
  choices: [
    { id: 16, name: 'Lantern Quay', heldOn: '2026-05-12', chosen: true },
    { id: 17, name: 'Pier Hall', heldOn: '2026-05-20', chosen: false },
  ],
  outcome: outcome(7),
  gap: money(402),
  limits: [{ what: 'Time', sentence: 'One more free hour would bring 14.20.', brings: money(1420) }],
  rows: [row('a', 'Heron pouch', 5), row('b', 'Owl tote', 2), row('c', 'Wren wallet', 0)],
  leftOut: [{ bag: 'Coot basket', why: 'it has no price' }],
  sets: ['“Wren wallet” went along in 6 of 20 sales of “Owl tote”; the plan reckons with 20 %.'],
  rests: 'It rests on 24 bags sold at 4 fairs.',
  ...more,
});

const laidOut: Schemas['SeasonLaidOut'] = {
  time: { text: '3 h 20', seconds: 12_000 },
  changing: { text: '21 min', seconds: 1260 },
  takes: [
    {
      materialId: 3,
      kind: 'CLOTH',
      name: 'Reed Stripe',
      colour: '#6f8fa8',
      takes: amount('2 yd'),
      there: amount('1 yd 9 in'),
      laidOut: true,
      shortBy: amount('27 in'),
    },
    {
      materialId: 4,
      kind: 'CLOTH',
      name: 'Oat cotton',
      colour: '#d9c27a',
      takes: amount('1 yd'),
      there: amount('6 yd'),
      laidOut: true,
    },
  ],
  tape: {
    days: ['2026-05-01', '2026-05-02'].map((date) => ({ date, free: { text: '2 h', seconds: 7200 } })),
    laid: [
      { label: 'These bags', stage: 'PLANNED', from: 0.5, to: 1.8, worker: 1 },
      { batchId: 9, label: 'Order for the school', stage: 'CUT', from: 0, to: 0.5, worker: 1 },
    ],
    pins: [
      { kind: 'FAIR', label: 'Lantern Quay', date: '2026-05-02', fairId: 16 },
      { kind: 'DUE', label: 'Due before the fair', date: '2026-05-01' },
    ],
    free: { text: '4 h', seconds: 14_400 },
    planned: { text: '3 h', seconds: 10_800 },
  },
  today: '2026-05-01',
  ready: '2026-05-13',
  late: true,
  delays: [
    {
      batchId: 9,
      name: 'Heron pouch small',
      forWhat: 'the school',
      before: '2026-05-04',
      after: '2026-05-06',
      late: true,
    },
  ],
};

const shown = (view: Plan) =>
  server({
    '/api/season-plan': view,
    '/api/season-plan/laid-out': laidOut,
    '/api/season-plan/try': {
      outcome: outcome(9, {
        doneOn: '2026-05-13',
        isLate: true,
        broken: ['It takes 4 h, and 3 h 14 are free.'],
      }),
      less: money(310),
    },
    '/api/season-plan/batch': { batchId: 12 },
  });

const refusal = (errors: { field: string; read: string; sentence: string }[]) =>
  new Response(JSON.stringify({ status: 422, title: 'Refused', detail: 'Refused.', errors }), {
    status: 422,
    headers: { 'Content-Type': 'application/problem+json' },
  });

beforeEach(() => sessionStorage.clear());
afterEach(() => vi.unstubAllGlobals());

describe('what to make', () => {
  it('shows what is made and why, and the others when asked', async () => {
    shown(plan());
    rendered(<SeasonPage />);
    expect(await screen.findByText('It rests on 24 bags sold at 4 fairs.', { exact: false })).toBeVisible();
    expect(screen.getByText('One more free hour would bring 14.20.')).toBeVisible();
    expect(screen.getByText(/they are done on Sat 9 May\./)).toBeVisible();
    expect(screen.getByText(/promises more than 4.02/)).toBeVisible();
    expect(screen.getByText('Coot basket: it has no price.')).toBeVisible();
    expect(screen.getByText(/^“Wren wallet” went along in 6 of 20 sales/)).toBeVisible();
    expect(screen.getAllByText('6,2 (3,1 to 12)')[0]).toBeVisible();
    expect(screen.queryByText('Wren wallet')).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Show the other 1' }));
    expect(screen.getByText('Wren wallet')).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: /Heron pouch/ }));
    expect(screen.getByText('One more Heron pouch would bring 6.10.')).toBeVisible();
  });

  it('tries numbers that are typed key by key, and says what they leave and break', async () => {
    const sent = shown(plan());
    rendered(<SeasonPage />);
    const box = await screen.findByLabelText('Make of Heron pouch, small, Reed Stripe');
    await userEvent.clear(box);
    await userEvent.type(box, '7');
    expect(await screen.findByText('3.10 less than the plan’s numbers.')).toBeVisible();
    expect(screen.getByText('It takes 4 h, and 3 h 14 are free.')).toBeVisible();
    expect(screen.getByText(/done on Wed 13 May, which isn’t before the first fair/)).toBeVisible();
    const last = sent.filter((one) => one.path.endsWith('/try')).at(-1)?.body as { made: unknown[] };
    expect(last.made).toEqual([
      { kind: 'a', units: 7 },
      { kind: 'b', units: 2 },
      { kind: 'c', units: 0 },
    ]);
    await userEvent.click(screen.getByRole('button', { name: 'Back to the plan’s numbers' }));
    expect(box).toHaveValue('5');
    expect(screen.queryByText(/less than the plan/)).toBeNull();
  });

  it('lays the numbers out as one batch, beside what is open and on the cloth that is there', async () => {
    const sent = shown(plan());
    rendered(<SeasonPage />);
    const part = await screen.findByRole('region', { name: 'As one batch' });
    expect(await within(part).findByText(/with 21 min of changing machines and walking/)).toBeVisible();
    expect(
      within(part).getByText(
        /done on Wed 13 May when put among all open work, what is due first first: that is too late/,
      ),
    ).toBeVisible();
    const stripe = within(part).getByRole('row', { name: /Reed Stripe/ });
    expect(within(stripe).getByText('27 in')).toBeVisible();
    const delay = within(part).getByText(
      /would be done on Wed 6 May instead of Mon 4 May, which is too late/,
    );
    expect(delay).toHaveTextContent('Heron pouch small for the school');
    expect(within(part).getByRole('group')).toHaveAccessibleName(/^The tape: Lantern Quay, Sat 2 May$/);
    expect(within(part).queryByRole('link', { name: /These bags/ })).toBeNull();
    expect(sent.find((one) => one.path === '/api/season-plan/laid-out')?.body).toEqual({
      made: [
        { kind: 'a', units: 5 },
        { kind: 'b', units: 2 },
      ],
    });
  });

  it('makes no batch of what can’t be read', async () => {
    const sent = shown(plan());
    rendered(<SeasonPage />);
    const box = await screen.findByLabelText('Make of Owl tote, small, Reed Stripe');
    await userEvent.type(box, 'x');
    expect(screen.getByText('Type whole numbers from 0 to 1000.')).toBeVisible();
    expect(screen.getByRole('button', { name: /Plan a batch/ })).toBeDisabled();
    await userEvent.type(box, '{Backspace}2', { initialSelectionStart: 1, initialSelectionEnd: 1 });
    await userEvent.click(screen.getByRole('button', { name: 'Plan a batch of these 7' }));
    expect(sent.filter((one) => one.path.endsWith('/batch')).at(-1)?.body).toMatchObject({
      made: [
        { kind: 'a', units: 5 },
        { kind: 'b', units: 2 },
      ],
    });
  });

  it('asks anew with what was ticked and typed', async () => {
    const sent = shown(plan());
    rendered(<SeasonPage />);
    const ask = within(await screen.findByRole('form', { name: 'What it is for' }));
    await userEvent.click(ask.getByLabelText(/Pier Hall/));
    await userEvent.type(ask.getByLabelText('Hours for it'), '12');
    await userEvent.click(ask.getByLabelText('on a bad day, too'));
    expect(ask.getByText('The plan beside is for what was asked before.')).toBeVisible();
    await userEvent.click(ask.getByRole('button', { name: 'Plan again' }));
    expect(sent.find((one) => one.body && one.path === '/api/season-plan')?.body).toEqual({
      ...form,
      fairs: [16, 17],
      hours: '12',
      aim: 'BETTER_BAD_DAY',
    });
  });

  it('shows at once what was planned anew, not what was asked before', async () => {
    shown(plan());
    rendered(<SeasonPage />);
    const ask = within(await screen.findByRole('form', { name: 'What it is for' }));
    await userEvent.type(ask.getByLabelText('Hours for it'), '12');
    vi.stubGlobal(
      'fetch',
      vi.fn((_path: string, options: RequestInit) =>
        options.method === 'PUT'
          ? Promise.resolve(Response.json(plan({ form: { ...form, version: 1, hours: '12' } })))
          : new Promise(() => {}),
      ),
    );
    await userEvent.click(ask.getByRole('button', { name: 'Plan again' }));
    await waitFor(() => expect(ask.queryByRole('button', { name: 'Discard changes' })).toBeNull());
    expect(ask.getByLabelText('Hours for it')).toHaveValue('12');
  });

  it('asks for an occasion’s design and for so many at least, key by key', async () => {
    const sent = shown(plan());
    rendered(<SeasonPage />);
    await userEvent.click(await screen.findByRole('button', { name: /Heron pouch/ }));
    await userEvent.type(
      screen.getByLabelText('At least of Heron pouch, small, Reed Stripe'),
      '1x2{Backspace}5',
    );
    await userEvent.click(screen.getByLabelText(/Sold for an occasion/));
    await userEvent.type(screen.getByLabelText('Occasion'), 'Lantern feast');
    // While a day is typed it isn't one yet.
    fireEvent.change(screen.getByLabelText('Last day it sells'), { target: { value: '' } });
    expect(screen.getByText('Type the last day on which it sells.')).toBeVisible();
    expect(screen.getByRole('button', { name: 'Plan again' })).toBeDisabled();
    fireEvent.change(screen.getByLabelText('Last day it sells'), { target: { value: '2026-06-01' } });
    expect(screen.getByText('“Plan again” reckons with it.')).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Plan again' }));
    expect(sent.find((one) => one.body && one.path === '/api/season-plan')?.body).toEqual({
      ...form,
      atLeast: [{ kind: 'a', units: 15 }],
      occasions: [{ designId: 7, name: 'Lantern feast', lastDay: '2026-06-01', keeps: '10' }],
    });
  });

  it('says until when a bag of an occasion sells, and when it is to be begun', async () => {
    const feast = { name: 'Lantern feast', lastDay: '2026-06-01', isOver: false, lastSale: '2026-05-20' };
    const its = (kind: string, more: object) => ({ ...row(kind, kind, 2), occasion: { ...feast, ...more } });
    shown(
      plan({
        rows: [
          its('a', { beginBy: '2026-05-14' }),
          its('b', {}),
          its('c', { lastSale: undefined }),
          its('d', { isOver: true, lastSale: undefined }),
        ],
      }),
    );
    rendered(<SeasonPage />);
    expect(await screen.findByText(/Lantern feast, until Mon 1 Jun · begin by Thu 14 May/)).toBeVisible();
    expect(screen.getByText(/ · too little time is left/)).toBeVisible();
    expect(screen.getByText(/: nothing that counts comes before/)).toBeVisible();
    expect(screen.getByText(/Lantern feast was over on 1 Jun/)).toBeVisible();
  });

  it('names the design whose occasion can’t be read', async () => {
    shown(
      plan({ form: { ...form, occasions: [{ designId: 7, name: '', lastDay: '2026-06-01', keeps: '10' }] } }),
    );
    rendered(<SeasonPage />);
    await screen.findByText('Heron pouch');
    vi.stubGlobal(
      'fetch',
      vi.fn(async () =>
        refusal([{ field: 'occasions.7.name', read: '', sentence: 'This is empty. Type a name.' }]),
      ),
    );
    await userEvent.click(screen.getByRole('button', { name: 'Plan again' }));
    expect(await screen.findByText('The occasion of Heron pouch: This is empty. Type a name.')).toBeVisible();
  });

  it('says why nothing can be planned', async () => {
    shown(
      plan({
        sentence: 'Nothing is ahead: choose a fair.',
        outcome: undefined,
        gap: undefined,
        limits: [],
        rows: [],
      }),
    );
    rendered(<SeasonPage />);
    expect(await screen.findByText('Nothing is ahead: choose a fair.')).toBeVisible();
    expect(screen.queryByRole('button', { name: /batch/ })).toBeNull();
  });
});

describe('what is typed', () => {
  it('is a whole number or nothing', () => {
    expect([undefined, '', ' 12 ', '1000', '1001', '-1', '2.5', '1e3'].map(whole)).toEqual([
      undefined,
      0,
      12,
      1000,
      undefined,
      undefined,
      undefined,
      undefined,
    ]);
  });

  it('keeps a judgement only where it differs from the sales', () => {
    const judgedForm = withJudgement(form, 'a', 150);
    expect(judgedForm.judgements).toEqual([{ kind: 'a', percent: 150 }]);
    expect(withJudgement(judgedForm, 'a', 200).judgements).toEqual([{ kind: 'a', percent: 200 }]);
    expect(withJudgement(judgedForm, 'a', 100).judgements).toEqual([]);
    expect([75, 100, 150].map(judged)).toEqual(['only 75 %', 'as sales say', '150 % of what sales say']);
  });
});
