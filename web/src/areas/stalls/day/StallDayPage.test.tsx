import 'fake-indexeddb/auto';
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { money } from '../../../ui/fixtures.test.helper';
import { rendered } from '../../../ui/rendered.test.helper';
import { stallOf } from '../stalls.test.helper';
import type { Entry, StallView } from './reckon';
import StallDayPage from './StallDayPage';

/** Each test has a fair of its own, so that nothing waits for it from another one. */
let fairId = 0;

const shown = () =>
  rendered(<StallDayPage />, 'METRIC', undefined, {
    path: `/stalls/${fairId}/day`,
    route: '/stalls/:id/day',
  });

/** A server that keeps what it is told and answers with the same stall, or is away. */
function stallServer(more: Partial<StallView> = {}) {
  const view = stallOf({ fairId, ...more });
  const told: Entry[] = [];
  const answers: unknown[] = [];
  let away = false;
  vi.stubGlobal('fetch', (_url: string, { method, body }: RequestInit) => {
    if (away) return Promise.reject(new TypeError('away'));
    if (method === 'POST') told.push(...(JSON.parse(body as string) as { entries: Entry[] }).entries);
    if (method === 'PUT') {
      answers.push(JSON.parse(body as string));
      return Promise.resolve(Response.json({ ...view, questions: [] }));
    }
    return Promise.resolve(Response.json(view));
  });
  return {
    told,
    answers,
    leave: (isAway: boolean) => {
      away = isAway;
    },
  };
}

const tile = (name: string) => screen.getByRole('button', { name: new RegExp(`^${name}, small`) });
const last = () => within(screen.getByRole('region', { name: 'The last touch' }));

beforeEach(() => {
  fairId += 1;
  localStorage.clear();
});
afterEach(() => vi.unstubAllGlobals());

describe('a day at a stall', () => {
  it('sells with one touch and says what to give back', async () => {
    const server = stallServer();
    shown();
    await screen.findByText('12.50');
    await userEvent.click(tile('Wren'));
    expect(tile('Wren')).toHaveAccessibleName(/4 left$/);
    expect(last().getByText('12.50')).toBeVisible();
    await userEvent.click(last().getByRole('button', { name: '20.00' }));
    expect(last().getByText('7.50')).toBeVisible();
    await waitFor(() => expect(server.told).toHaveLength(1));
    expect(server.told[0]).toMatchObject({
      kind: 'SOLD',
      tender: 'CASH',
      paidMinor: 1250,
      bags: [{ kind: 'Wren', units: 1, priceMinor: 1250 }],
    });
  });

  it('keeps what is touched while the server is away', async () => {
    const server = stallServer();
    shown();
    await screen.findByText('12.50');
    server.leave(true);
    await userEvent.click(tile('Owl'));
    await userEvent.click(tile('Owl'));
    expect(tile('Owl')).toHaveAccessibleName(/0 left$/);
    expect(screen.getByText(/^2 kept here/)).toBeVisible();
    server.leave(false);
    window.dispatchEvent(new Event('online'));
    await waitFor(() => expect(server.told).toHaveLength(2));
    expect(await screen.findByText('all sent')).toBeVisible();
  });

  it('takes another price in place of the first one, and undoes it', async () => {
    const server = stallServer();
    shown();
    await screen.findByText('12.50');
    await userEvent.click(tile('Wren'));
    await userEvent.click(last().getByRole('button', { name: 'Other price' }));
    await userEvent.type(last().getByLabelText('It went for'), '1x');
    expect(last().getByRole('button', { name: 'Change it' })).toBeDisabled();
    await userEvent.type(last().getByLabelText('It went for'), '{Backspace}0,50{Enter}');
    expect(last().getByText('10.50')).toBeVisible();
    await userEvent.click(last().getByRole('button', { name: 'Undo' }));
    expect(tile('Wren')).toHaveAccessibleName(/5 left$/);
    await waitFor(() =>
      expect(server.told.map(({ kind }) => kind)).toEqual(['SOLD', 'UNDONE', 'SOLD', 'UNDONE']),
    );
    expect(server.told[1]?.ofEntry).toBe(server.told[0]?.id);
    expect(server.told[3]?.ofEntry).toBe(server.told[2]?.id);
  });

  it('sells several together for one price', async () => {
    const server = stallServer();
    shown();
    await screen.findByText('12.50');
    await userEvent.click(screen.getByLabelText('Several'));
    await userEvent.click(tile('Wren'));
    await userEvent.click(tile('Wren'));
    await userEvent.click(tile('Owl'));
    const set = within(screen.getByRole('region', { name: 'Several together' }));
    expect(set.getByText('53.00')).toBeVisible();
    await userEvent.click(set.getByRole('button', { name: 'One Wren, small, Reed Stripe less' }));
    expect(set.getByText('40.50')).toBeVisible();
    await userEvent.type(set.getByLabelText('goes for'), '38');
    await userEvent.click(set.getByRole('button', { name: 'Sold' }));
    await waitFor(() => expect(server.told).toHaveLength(1));
    expect(server.told[0]).toMatchObject({
      paidMinor: 3800,
      bags: [
        { kind: 'Wren', units: 1 },
        { kind: 'Owl', units: 1 },
      ],
    });
  });

  it('puts a bag aside with two touches, and sells it to who comes for it', async () => {
    const server = stallServer({
      promises: [
        { id: 'p1', kind: 'Owl', words: 'Owl, small', units: 1, priceMinor: 2800, note: 'the tall man' },
      ],
    });
    shown();
    await screen.findByText('12.50');
    await userEvent.click(screen.getByRole('button', { name: 'More' }));
    await userEvent.click(screen.getByRole('button', { name: 'put aside' }));
    await userEvent.type(screen.getByLabelText('For'), 'Çiğdem {{');
    await userEvent.click(tile('Wren'));
    expect(tile('Wren')).toHaveTextContent('1 put aside');
    await userEvent.click(screen.getByRole('button', { name: 'More' }));
    expect(screen.getByText('for the tall man')).toBeVisible();
    const his = screen.getByText('for the tall man').closest('li') as HTMLElement;
    await userEvent.click(within(his).getByRole('button', { name: 'Sold' }));
    await waitFor(() => expect(server.told.map(({ kind }) => kind)).toEqual(['PROMISED', 'SOLD']));
    expect(server.told[0]).toMatchObject({ note: 'Çiğdem {' });
    expect(server.told[1]).toMatchObject({ ofEntry: 'p1', paidMinor: 2800 });
  });

  it('keeps what was put aside and sold without the server in its lists, to be released and undone', async () => {
    const server = stallServer();
    shown();
    await screen.findByText('12.50');
    server.leave(true);
    await userEvent.click(tile('Owl'));
    await userEvent.click(screen.getByRole('button', { name: 'More' }));
    await userEvent.click(screen.getByRole('button', { name: 'put aside' }));
    await userEvent.type(screen.getByLabelText('For'), 'Bo');
    await userEvent.click(tile('Wren'));
    expect(last().getByText('for Bo')).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'More' }));
    await userEvent.click(screen.getByRole('button', { name: 'For all again' }));
    expect(screen.queryByText('for Bo')).not.toBeInTheDocument();
    await userEvent.click(screen.getByRole('button', { name: /^Undo Owl/ }));
    expect(screen.getByText('undone')).toBeVisible();
    await userEvent.keyboard('{Escape}');
    expect(tile('Owl')).toHaveAccessibleName(/2 left$/);
    expect(tile('Wren')).toHaveAccessibleName(/5 left$/);
  });

  it('asks how it was with a bag that two devices sold', async () => {
    const server = stallServer({
      questions: [
        {
          line: 7,
          kind: 'Owl',
          words: 'Owl, small',
          units: 1,
          others: [{ kind: 'Wren', words: 'Wren, small', there: 5 }],
        },
      ],
    });
    shown();
    const question = within(await screen.findByRole('region', { name: 'A question' }));
    await userEvent.selectOptions(question.getByLabelText('Another bag'), 'Wren');
    await userEvent.click(question.getByRole('button', { name: 'That one' }));
    await waitFor(() => expect(server.answers).toEqual([{ line: 7, answer: 'OTHER_BAG', kind: 'Wren' }]));
    await waitFor(() => expect(screen.queryByRole('region', { name: 'A question' })).toBeNull());
  });

  it('records a payment by card once the reader has charged it', async () => {
    const server = stallServer({ sales: [], takings: { ...stallOf().takings, card: money(0) } });
    shown();
    await screen.findByText('12.50');
    await userEvent.click(screen.getByRole('button', { name: 'Card' }));
    await userEvent.click(tile('Wren'));
    expect(screen.getByRole('dialog', { name: 'Card reader' })).toBeVisible();
    expect(server.told).toHaveLength(0);
    expect(localStorage.getItem('mardun.payment')).not.toBeNull();
    await waitFor(() => expect(server.told).toHaveLength(1), { timeout: 3_000 });
    expect(server.told[0]).toMatchObject({ tender: 'CARD', payment: server.told[0]?.id });
    expect(localStorage.getItem('mardun.payment')).toBeNull();
  });
});
