import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { expect, it } from 'vitest';
import type { Schemas } from '../../api/client';
import { rendered } from '../../ui/rendered.test.helper';
import { server } from '../designs/editing.test.helper';
import DaysPage from './DaysPage';

const time = (minutes: number) => ({ text: `${minutes} min`, seconds: minutes * 60 });

const stretch = (name: string, rest: Partial<Schemas['StretchView']> = {}): Schemas['StretchView'] => ({
  batchId: 5,
  batch: 'Heron pouch small',
  stage: 'PLANNED',
  name,
  station: 'MACHINE',
  machine: '',
  from: '18:05',
  to: '18:45',
  hands: time(40),
  goesOn: false,
  bagsFrom: 1,
  bagsTo: 12,
  bags: 14,
  onlySetUp: false,
  changes: ['zip foot'],
  check: '',
  caution: '',
  worker: 1,
  ...rest,
});

const dayOf = (
  date: string,
  hours: number,
  rest: Partial<Schemas['DayPlanView']> = {},
): Schemas['DayPlanView'] => ({
  date,
  begins: '18:00',
  free: time(hours * 60),
  hours: String(hours),
  worked: time(hours * 60),
  laid: time(40),
  isOther: false,
  note: '',
  stretches: [],
  stop: '',
  lies: '',
  pins: [],
  ...rest,
});

const outlook = (rest: Partial<Schemas['OutlookView']>): Schemas['OutlookView'] => ({
  batchId: 5,
  version: 2,
  first: false,
  name: 'Heron pouch small',
  stage: 'PLANNED',
  due: '2026-12-03',
  forWhat: 'the school',
  left: time(400),
  from: time(300),
  to: time(500),
  ready: '2026-12-01',
  likely: '2026-12-02',
  late: false,
  surePercent: 93,
  inTimeWithout: [],
  waits: '',
  putAway: '',
  ...rest,
});

const days = (batches: Schemas['OutlookView'][] = []): Schemas['DaysView'] => ({
  today: '2026-11-28',
  people: 1,
  days: [
    dayOf('2026-11-28', 2, {
      stretches: [stretch('Sew zip'), stretch('Press', { onlySetUp: true, bagsTo: 0, from: '18:50' })],
      stop: 'Stop “Sew zip” after bag 12 of 14; the others wait.',
      pins: ['Lantern Quay'],
    }),
    dayOf('2026-11-29', 0, { note: 'At the sea', isOther: true }),
  ],
  batches,
  notedOn: '2026-11-26',
  slipped: [],
});

it('shows what is done on a day, what to change, and where to stop', async () => {
  server({ '/api/days': days() });
  rendered(<DaysPage />);
  const today = (await screen.findByText('today')).closest('li');
  expect(today).toHaveTextContent('18:05Sew zip Heron pouch small · bags 1–12 of 14change zip foot');
  expect(today).toHaveTextContent('only set up, for 14 bags');
  expect(today).toHaveTextContent('after bag 12 of 14; the others wait.');
  expect(today).toHaveTextContent('Lantern Quay');
  expect(screen.getByText('At the sea')).toBeInTheDocument();
});

it('says what lies there in the evening, and what a batch that is put away each day costs', async () => {
  const lies = '3 bags of batch 5 can’t be put away: “Turn, fill” is done, what comes after it isn’t.';
  const putAway = 'Days end only where it can be put away: that costs no day.';
  server({
    '/api/days': { ...days([outlook({ putAway })]), days: [dayOf('2026-11-28', 2, { lies })] },
  });
  rendered(<DaysPage />);
  expect(await screen.findByText(lies)).toBeVisible();
  expect(screen.getByText(putAway)).toBeVisible();
});

it('tells what other hours would change before they are kept, typed key by key', async () => {
  const sent = server({
    '/api/days/what-if': [
      {
        batchId: 5,
        name: 'Heron pouch small',
        ready: '2026-12-01',
        then: '2026-11-30',
        surePercent: 61,
        sureThen: 92,
      },
    ],
    '/api/free-days/2026-11-28': [],
    '/api/days': days(),
  });
  rendered(<DaysPage />);
  const field = await screen.findByLabelText('Hours free on Sat 28 Nov');
  for (const text of ['', '3', '3.', '3.5']) fireEvent.change(field, { target: { value: text } });
  expect(
    await screen.findByText('ready Mon 30 Nov instead of Tue 1 Dec, 92 % sure instead of 61 %', {
      exact: false,
    }),
  ).toBeInTheDocument();
  fireEvent.click(screen.getByRole('button', { name: 'Keep 3.5 h on Sat 28 Nov' }));
  await waitFor(() =>
    expect(sent.find((one) => one.path === '/api/free-days/2026-11-28')?.body).toEqual({
      hours: '3.5',
      note: '',
    }),
  );
});

it('gives back what was there with Escape', async () => {
  server({ '/api/days/what-if': [], '/api/days': days() });
  rendered(<DaysPage />);
  const field = await screen.findByLabelText('Hours free on Sat 28 Nov');
  fireEvent.change(field, { target: { value: '9' } });
  fireEvent.keyDown(field, { key: 'Escape' });
  expect(field).toHaveValue('2');
  expect(screen.queryByText(/Keep/)).not.toBeInTheDocument();
});

it('says how sure each batch is, and what would bring a late one in time', async () => {
  server({
    '/api/days': days([
      outlook({ lastBegin: '2026-11-29' }),
      outlook({
        batchId: 7,
        name: 'Tern tote',
        late: true,
        surePercent: 12,
        missing: time(130),
        inTimeWithout: [{ batchId: 5, name: 'Heron pouch small' }],
      }),
      outlook({ batchId: 8, name: 'Wren', ready: undefined, waits: 'Waits for Zip tape.' }),
    ]),
  });
  rendered(<DaysPage />);
  const all = within(await screen.findByRole('region', { name: 'When each batch is done' }));
  expect(all.getByText('93 % sure for the school')).toBeInTheDocument();
  expect(all.getByText('Begin it on Sun 29 Nov at the latest.')).toBeInTheDocument();
  expect(all.getByText(/130 min more free time by Thu 3 Dec would do/)).toHaveTextContent(
    'or putting off Heron pouch small.',
  );
  expect(all.getByText(/Waits for Zip tape/)).toBeInTheDocument();
});

it('tells what has moved since the days were noted, until that is noted', async () => {
  const slipped = [
    { batchId: 5, name: 'Heron pouch', before: '2026-12-01', now: '2026-12-02', waits: '' },
    { batchId: 8, name: 'Wren', before: '2026-12-03', waits: 'Waits for Zip tape.' },
  ];
  const sent = server({ '/api/days/noted': {}, '/api/days': { ...days(), slipped } });
  rendered(<DaysPage />);
  expect(await screen.findByText('Moved since Thu 26 Nov:')).toBeInTheDocument();
  expect(screen.getByText('Heron pouch is ready Wed 2 Dec, not Tue 1 Dec.')).toBeInTheDocument();
  expect(
    screen.getByText('Wren is not laid any more, not Thu 3 Dec. Waits for Zip tape.'),
  ).toBeInTheDocument();
  fireEvent.click(screen.getByRole('button', { name: 'Noted' }));
  await waitFor(() => expect(sent.some((one) => one.path === '/api/days/noted')).toBe(true));
});
