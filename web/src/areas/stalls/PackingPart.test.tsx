import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { money } from '../../ui/fixtures.test.helper';
import { rendered } from '../../ui/rendered.test.helper';
import { server } from '../designs/editing.test.helper';
import { PackingPart } from './PackingPart';

const row = (key: string, more: Partial<Schemas['PackingRow']> = {}): Schemas['PackingRow'] => ({
  bag: { key, design: key, size: 'small', cloth: 'Kelp linen', quality: 'GOOD' },
  elsewhere: 6,
  atStall: 0,
  units: 0,
  box: '',
  packed: false,
  price: money(1250),
  ownPrice: '',
  proposed: 4,
  reason: 'It was never at a fair: some to try.',
  ...more,
});

const packing = (rows: Schemas['PackingRow'][]): Schemas['PackingView'] => ({
  fairId: 1,
  fair: 'Mill yard',
  rows,
  boxes: [],
  units: 3,
  packedUnits: 0,
  coming: [{ batchId: 7, name: 'Heron pouch', units: 12, dueOn: '2026-05-07' }],
  change: { coins: [{ coin: money(500), count: 6 }], together: money(3000), buyers: 20 },
});

afterEach(() => vi.unstubAllGlobals());

describe('what goes along to a fair', () => {
  it('says what is proposed and why, what is still to come, and which change to bring', async () => {
    server({ '/api/fairs/1/packing': packing([row('Wren')]) });
    rendered(<PackingPart fairId={1} />);
    expect(await screen.findByText('4 proposed. It was never at a fair: some to try.')).toBeVisible();
    expect(screen.getByRole('link', { name: '12 × Heron pouch' })).toHaveAttribute('href', '/batches/7');
    expect(screen.getByText('6 ×')).toBeVisible();
    expect(screen.getByText(/Type how large the table is/)).toBeVisible();
  });

  it('enters how many go when the field is left, once', async () => {
    const sent = server({ '/api/fairs/1/packing': packing([row('Wren')]) });
    rendered(<PackingPart fairId={1} />);
    await userEvent.type(await screen.findByLabelText('Take, Wren, small, Kelp linen'), '13');
    await userEvent.keyboard('{Backspace}{Tab}');
    const bodies = sent.filter((one) => one.body);
    expect(bodies).toHaveLength(1);
    expect(bodies[0]?.body).toEqual({ kind: 'Wren', units: '1', box: '', ownPrice: '' });
  });

  it('lets the maker type on while a bag that wasn’t on the list goes up to those that are', async () => {
    const taken = (box: string) =>
      packing([row('Owl', { units: 2, box: '1' }), row('Auk'), row('Wren', { units: 13, box })]);
    const waiting: (() => void)[] = [];
    const sent: unknown[] = [];
    let stored = packing([row('Owl', { units: 2, box: '1' }), row('Auk'), row('Wren')]);
    vi.stubGlobal('fetch', async (_: string, init?: RequestInit) => {
      if (init?.method === 'PUT') {
        const form = JSON.parse(init.body as string) as Schemas['PackingForm'];
        sent.push(form);
        await new Promise<void>((done) => waiting.push(done));
        stored = taken(form.box);
      }
      return new Response(JSON.stringify(stored), { headers: { 'Content-Type': 'application/json' } });
    });
    rendered(<PackingPart fairId={1} />);
    await userEvent.type(await screen.findByLabelText('Take, Wren, small, Kelp linen'), '13{Tab}');
    await userEvent.keyboard('bl');
    await vi.waitFor(() => expect(waiting).toHaveLength(1));
    waiting[0]?.();
    await vi.waitFor(() =>
      expect(screen.getAllByLabelText(/^Take/).map((field) => (field as HTMLInputElement).value)).toEqual([
        '2',
        '13',
        '',
      ]),
    );
    await userEvent.keyboard('ue');
    const box = screen.getByLabelText('Box, Wren, small, Kelp linen');
    expect(box).toHaveFocus();
    expect(box).toHaveValue('blue');
    await userEvent.tab();
    await vi.waitFor(() => expect(waiting).toHaveLength(2));
    expect(sent).toEqual([
      { kind: 'Wren', units: '13', box: '', ownPrice: '' },
      { kind: 'Wren', units: '13', box: 'blue', ownPrice: '' },
    ]);
  });

  it('says that a second costs what a good one does, until its own price is typed', async () => {
    const bag = (key: string, quality: 'GOOD' | 'SECOND') => ({ ...row(key).bag, quality });
    server({
      '/api/fairs/1/packing': packing([
        row('Owl', { units: 1, bag: bag('Owl', 'GOOD') }),
        row('Wren', { units: 1, bag: bag('Wren', 'SECOND') }),
        row('Auk', { units: 1, bag: bag('Auk', 'SECOND'), ownPrice: '9.00' }),
      ]),
    });
    rendered(<PackingPart fairId={1} />);
    expect(
      await screen.findAllByText('A second is asked like a good one until you type its price.'),
    ).toHaveLength(1);
  });

  it('ticks what is packed', async () => {
    const sent = server({
      '/api/fairs/1/packing': packing([row('Wren', { units: 3 })]),
      '/api/fairs/1/packing/packed': packing([row('Wren', { units: 3, packed: true })]),
    });
    rendered(<PackingPart fairId={1} />);
    await userEvent.click(await screen.findByLabelText('Packed: Wren, small, Kelp linen'));
    expect(sent.find((one) => one.body)?.body).toEqual({ kind: 'Wren', packed: true });
  });

  it('ticks a whole box', async () => {
    const boxed = {
      ...packing([row('Wren', { units: 3, box: 'blue' })]),
      boxes: [
        { box: '', packed: 1, rows: 1, units: 2 },
        { box: 'blue', packed: 1, rows: 2, units: 5 },
      ],
    };
    const sent = server({ '/api/fairs/1/packing': boxed, '/api/fairs/1/packing/packed-box': boxed });
    rendered(<PackingPart fairId={1} />);
    expect(await screen.findByLabelText('no box: 1 of 1 packed, 2 bags')).toBeChecked();
    await userEvent.click(screen.getByLabelText('blue: 1 of 2 packed, 5 bags'));
    expect(sent.find((one) => one.body)?.body).toEqual({ box: 'blue', packed: true });
  });

  it('draws the table with what stands on it', async () => {
    server({
      '/api/fairs/1/packing': {
        ...packing([row('Wren', { units: 2 })]),
        table: {
          wide: 1800,
          deep: 700,
          places: [{ key: 'Wren', left: 0, front: 0, wide: 200, deep: 80 }],
          under: 1,
          unknown: 0,
        },
      },
    });
    rendered(<PackingPart fairId={1} />);
    expect(await screen.findByRole('img', { name: '1 bag on the table, from above' })).toBeVisible();
    expect(screen.getByText('1 more wait under it.')).toBeVisible();
  });
});
