import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { money } from '../../ui/fixtures.test.helper';
import { rendered } from '../../ui/rendered.test.helper';
import { server } from '../designs/editing.test.helper';
import { AfterPart } from './AfterPart';

const working = (result: string) => ({
  rule: 'What is left.',
  expression: 'a',
  calculation: 'a',
  result,
  inputs: [],
  schools: [],
});

const view = (more: Partial<Schemas['SettlementView']> = {}): Schemas['SettlementView'] => ({
  fairId: 1,
  fair: 'Mill yard',
  settled: false,
  mark: 'm1',
  later: 0,
  home: [
    { bag: { key: 'wren', design: 'Wren', size: 'small', cloth: '', quality: 'GOOD' }, expected: 4, sold: 2 },
    { bag: { key: 'owl', design: 'Owl', size: '', cloth: '', quality: 'GOOD' }, expected: 1, sold: 0 },
  ],
  gone: [],
  bags: 2,
  sales: 2,
  paid: money(2500),
  cashExpected: money(2500),
  cardExpected: money(0),
  unclear: 0,
  lines: [{ name: 'stall fee', amount: money(1000), adds: false }],
  left: { value: money(700), working: working('7.00') },
  makingUnknown: 0,
  there: { text: '8 h', seconds: 28_800 },
  onTheWay: { text: '1 h', seconds: 3_600 },
  thereHours: '8',
  wayHours: '1',
  changeProposed: '42.00',
  nextTime: '',
  ...more,
});

beforeEach(() => sessionStorage.clear());
afterEach(() => vi.unstubAllGlobals());

describe('the evening after a fair', () => {
  it('sends what was counted, with what became of those that are missing', async () => {
    const sent = server({ '/api/fairs/1/settlement': view({ footfall: 'LARGE' }) });
    rendered(<AfterPart fairId={1} />);
    await userEvent.type(await screen.findByLabelText('All that is in the box'), '67');
    expect(screen.getByLabelText('of which was brought')).toHaveValue('42.00');
    const wren = screen.getByLabelText('Counted: Wren, small');
    await userEvent.clear(wren);
    await userEvent.type(wren, '2');
    await userEvent.click(screen.getByRole('button', { name: 'Wren, small …' }));
    expect(screen.getByLabelText('How many of Wren, small')).toHaveValue('2');
    expect(screen.queryByRole('button', { name: 'Wren, small …' })).toBeNull();
    await userEvent.selectOptions(screen.getByLabelText('What became of Wren, small'), 'stolen');
    await userEvent.type(screen.getByLabelText('For next time'), 'bring the lamp');
    await userEvent.selectOptions(screen.getByLabelText('The weather was'), 'wet');
    expect(screen.getByLabelText('Walk through it')).toHaveDisplayValue('crowds');
    await userEvent.selectOptions(screen.getByLabelText('Walk through it'), 'few people');
    await userEvent.click(screen.getByRole('button', { name: 'Settle this fair' }));
    expect(sent.find((one) => one.body)?.body).toMatchObject({
      mark: 'm1',
      cash: '67',
      change: '42.00',
      home: [
        { kind: 'wren', counted: '2' },
        { kind: 'owl', counted: '1' },
      ],
      gone: [{ kind: 'wren', units: '2', ended: 'STOLEN' }],
      thereHours: '8',
      nextTime: 'bring the lamp',
      weather: 'WET',
      footfall: 'SMALL',
      unpack: true,
    });
  });

  it('counts the box by its coins, and takes the sum over once all of it was added up', async () => {
    const row = (minor: number, note: boolean, sum: number) => ({
      coin: money(minor),
      note,
      sum: money(sum),
    });
    const sent = server({
      '/api/fairs/1/settlement': view(),
      '/api/cash/counted': {
        rows: [row(2000, true, 6000), row(50, false, 350)],
        together: money(6350),
      } satisfies Schemas['CashView'],
    });
    rendered(<AfterPart fairId={1} />);
    await userEvent.click(await screen.findByRole('button', { name: 'Count the box by coins' }));
    await userEvent.type(await screen.findByLabelText('How many of 20.00'), '3');
    await userEvent.type(screen.getByLabelText('How many of 0.50'), '7x{Backspace}');
    expect(screen.getByRole('button', { name: 'Take it over' })).toBeDisabled();
    await waitFor(() => expect(screen.getByRole('button', { name: 'Take it over' })).toBeEnabled());
    await userEvent.keyboard('{Enter}');
    expect(screen.queryByRole('dialog')).not.toBeInTheDocument();
    expect(screen.getByLabelText('All that is in the box')).toHaveValue('63.50');
    // Taking it over sends nothing but the count.
    expect(sent.filter(({ path, body }) => path === '/api/fairs/1/settlement' && body)).toEqual([]);
    await userEvent.click(screen.getByRole('button', { name: 'Count the box by coins' }));
    expect(await screen.findByLabelText('How many of 20.00')).toHaveValue('3');
  });

  it('keeps what was typed in the tab', async () => {
    server({ '/api/fairs/1/settlement': view() });
    const { unmount } = rendered(<AfterPart fairId={1} />);
    await userEvent.type(await screen.findByLabelText('All that is in the box'), '12');
    unmount();
    rendered(<AfterPart fairId={1} />);
    expect(await screen.findByLabelText('All that is in the box')).toHaveValue('12');
  });

  it('tells what was too much or missing once it is settled', async () => {
    server({
      '/api/fairs/1/settlement': view({
        settled: true,
        home: [],
        later: 2,
        cashDifference: money(-200),
        lines: [
          { name: 'counted less than expected', amount: money(200), adds: false },
          { name: 'a gift', amount: money(300), adds: true },
        ],
        cardDifference: money(0),
        gone: [{ words: 'Wren, small', units: 2, ended: 'GIVEN_AWAY', note: 'raffle' }],
      }),
    });
    rendered(<AfterPart fairId={1} />);
    const settled = within(await screen.findByRole('region', { name: 'Settled' }));
    expect(settled.getByText('2.00 missing')).toBeVisible();
    expect(screen.getByRole('row', { name: 'counted less than expected −2.00' })).toBeVisible();
    expect(screen.getByRole('row', { name: 'a gift +3.00' })).toBeVisible();
    expect(settled.getByText('as it should be')).toBeVisible();
    expect(settled.getByText(/2 touches of a device came in after/)).toBeVisible();
    expect(settled.getByText('2 × Wren, small: given away, raffle')).toBeVisible();
  });

  it('says of how many bags nobody knows the making', async () => {
    server({ '/api/fairs/1/settlement': view({ makingUnknown: 1 }) });
    rendered(<AfterPart fairId={1} />);
    expect(await screen.findByText(/Of 1 bag nobody knows what making took/)).toBeVisible();
  });
});
