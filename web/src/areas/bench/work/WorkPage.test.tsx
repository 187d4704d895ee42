import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { configure, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { MemoryRouter, Route, Routes } from 'react-router';
import { afterEach, beforeEach, vi } from 'vitest';
import type { Schemas } from '../../../api/client';
import type { Entry, WorkView } from './kept';
import { part, turn, workView } from './work.test.helper';

/** What the shelf would give: of two dyes, one of them the batch's. */
function cutAgain(path: string): Schemas['CutAgainView'] {
  const asked = new URLSearchParams(path.split('?')[1]).getAll('pieces');
  return {
    pieces: [{ letter: 'B', name: 'Side', cloth: 'Reed Stripe', count: 2 }],
    cloths:
      asked.length === 0
        ? []
        : [
            {
              materialId: 3,
              name: 'Reed Stripe',
              pieces: asked.join(' and '),
              choices: [
                { dye: '12', ofTheBatch: true, says: `${asked.join(' and ')} from offcut 4.` },
                { dye: '13', ofTheBatch: false, says: `${asked.join(' and ')} from roll 5.` },
              ],
              nothing: '',
            },
          ],
  };
}

/** A server that counts what it is told once, and may be away. */
function bench(view: WorkView) {
  const known = new Map<string, Entry>();
  const state = { away: false, known, lost: 0 };
  vi.stubGlobal(
    'fetch',
    vi.fn(async (path: string, options: RequestInit) => {
      if (state.away) throw new TypeError('nobody is there');
      if (path.startsWith('/api/bench/cut-again')) return Response.json(cutAgain(path));
      const { entries } = JSON.parse(options.body as string) as { entries: Entry[] };
      entries.forEach((entry) => known.set(entry.id, entry));
      if (state.lost > 0) {
        state.lost--;
        throw new TypeError('the answer was lost');
      }
      const turns = view.turns
        .map((one) => ({
          ...one,
          changes: [...known.values()].some((entry) => entry.kind === 'SET_UP') ? [] : one.changes,
          parts: one.parts
            .map((its) => ({
              ...its,
              done:
                its.done +
                [...known.values()]
                  .filter((entry) => entry.line === its.line && entry.step === its.step)
                  .filter((entry) => entry.kind === 'WORKED')
                  .reduce((sum, entry) => sum + entry.bags, 0),
            }))
            .filter((its) => its.done < its.started),
        }))
        .filter((one) => one.parts.length > 0);
      return new Response(JSON.stringify({ ...view, turns }), {
        headers: { 'Content-Type': 'application/json' },
      });
    }),
  );
  return state;
}

/** The page, with the browser's store as a new tab finds it. */
async function open() {
  vi.resetModules();
  const { default: WorkPage } = await import('./WorkPage');
  return render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter initialEntries={['/bench/work/7']}>
        <Routes>
          <Route path="/bench/work/:id" element={<WorkPage />} />
        </Routes>
      </MemoryRouter>
    </QueryClientProvider>,
  );
}

const worked = (known: Map<string, Entry>) =>
  [...known.values()].filter((entry) => entry.kind === 'WORKED').reduce((sum, entry) => sum + entry.bags, 0);

// What is touched goes through the browser's store first, which takes its time on a busy machine.
configure({ asyncUtilTimeout: 5000 });

beforeEach(() => {
  globalThis.indexedDB = new IDBFactory();
  localStorage.clear();
  sessionStorage.clear();
});
afterEach(() => vi.unstubAllGlobals());

describe('the screen beside the machine', () => {
  it('counts by keys, takes back, and stays where it is when all is done', async () => {
    const { known } = bench(workView(turn('Sew the zip', part(1, 1)), turn('Box it', part(1, 0))));
    await open();
    expect(await screen.findByRole('heading', { name: 'Sew the zip' })).toBeVisible();
    await userEvent.keyboard('{Enter}');
    expect(await screen.findByText('2 of 3.')).toBeInTheDocument();
    await userEvent.keyboard('z');
    expect(await screen.findByText('Taken back: 1 of 3.')).toBeInTheDocument();
    await userEvent.keyboard('{Shift>}{Enter}{/Shift}');
    expect(await screen.findByText('Done for all bags.')).toBeVisible();
    expect(screen.getByRole('heading', { name: 'Sew the zip' })).toBeVisible();
    await waitFor(() => expect(worked(known)).toBe(2));
    expect(screen.getByRole('heading', { name: 'Sew the zip' })).toBeVisible();
    await userEvent.keyboard('{Enter}');
    expect(await screen.findByText('Sew the zip is done for all bags.')).toBeInTheDocument();
    await userEvent.keyboard('{ArrowRight}');
    expect(screen.getByRole('heading', { name: 'Box it' })).toBeVisible();
  });

  it('counts no more than there are, however quickly it is touched', async () => {
    const { known } = bench(workView(turn('Sew the zip', part(1, 1))));
    await open();
    const button = await screen.findByRole('button', { name: /^One done/ });
    for (let touch = 0; touch < 5; touch++) button.click();
    expect(await screen.findByText('Done for all bags.')).toBeVisible();
    await waitFor(() => expect(worked(known)).toBe(2));
  });

  it('says what to change, and tells how long that took apart from the work', async () => {
    const { known } = bench(workView({ ...turn('Sew the zip', part(1, 0)), changes: ['zip foot'] }));
    await open();
    expect(await screen.findByText('Change now')).toBeVisible();
    await userEvent.keyboard(' ');
    expect(screen.getByText('setting up')).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'It is on the machine' }));
    expect(screen.getByText('this one')).toBeVisible();
    expect(screen.getByText('On the machine')).toBeVisible();
    await userEvent.keyboard(' ');
    expect(await screen.findByText('paused')).toBeVisible();
    await waitFor(() => expect([...known.values()].map((entry) => entry.kind)).toEqual(['SET_UP', 'WORKED']));
    expect([...known.values()][0]?.puts).toEqual({ FOOT: 'zip foot' });
  });

  it('goes on counting while nobody answers, also after it is loaded again, and sends each touch once', async () => {
    const server = bench(workView(turn('Sew the zip', part(1, 0, 9))));
    const first = await open();
    await screen.findByRole('heading', { name: 'Sew the zip' });
    server.away = true;
    await userEvent.keyboard('{Enter}{Enter}{Enter}');
    expect(await screen.findByText('3 of 9.')).toBeInTheDocument();
    expect(await screen.findByText(/kept in this browser \(3 so far\)/)).toBeVisible();
    first.unmount();
    await open();
    expect(await screen.findByText('3', { selector: '.font-bold' })).toBeVisible();
    server.away = false;
    server.lost = 1;
    await userEvent.keyboard('{Enter}');
    await waitFor(() => expect(worked(server.known)).toBe(4));
    await waitFor(() => {
      window.dispatchEvent(new Event('online'));
      expect(screen.queryByText(/kept in this browser/)).toBeNull();
    });
    expect(worked(server.known)).toBe(4);
    expect(screen.getByText('4', { selector: '.font-bold' })).toBeVisible();
  });

  it('tells the time of a clock whose line is done by now', async () => {
    const { known } = bench(workView(turn('Sew the zip', part(1, 2), part(2, 0))));
    const first = await open();
    await screen.findByRole('heading', { name: 'Sew the zip' });
    await userEvent.keyboard(' ');
    await userEvent.keyboard('{Enter}');
    await waitFor(() => expect(worked(known)).toBe(1));
    first.unmount();
    await open();
    // The operation is for the second line alone now, and the clock ran on for it as it was.
    await userEvent.click(await screen.findByRole('button', { name: 'List' }));
    await userEvent.click(screen.getByRole('button', { name: 'Sew the zip' }));
    await waitFor(() =>
      expect([...known.values()].at(-1)).toMatchObject({ bags: 0, line: 1, stepName: 'Sew the zip' }),
    );
    expect([...known.values()].at(-1)?.millis).toBeGreaterThan(0);
  });

  it('counts for the line that is chosen', async () => {
    const { known } = bench(workView(turn('Sew the zip', part(1, 0), part(2, 0))));
    await open();
    await userEvent.click(await screen.findByRole('button', { name: /line 2/ }));
    await userEvent.click(screen.getByRole('button', { name: 'One done' }));
    await waitFor(() => expect([...known.values()].map((entry) => entry.line)).toEqual([2]));
  });

  it('tells which bags stand where, also what nobody heard of yet', async () => {
    const { known } = bench(workView(turn('Sew the zip', part(1, 0)), turn('Box it', part(1, 0))));
    await open();
    await screen.findByRole('heading', { name: 'Sew the zip' });
    await userEvent.keyboard('l');
    expect(screen.queryByRole('region', { name: 'Which bags stand where' })).not.toBeInTheDocument();
    await userEvent.keyboard('l{Enter}');
    expect(await screen.findByText('1 of 3.')).toBeInTheDocument();
    await userEvent.keyboard('l');
    const where = screen.getByRole('region', { name: 'Which bags stand where' });
    expect(where).toHaveTextContent('bag 1 waits for “Box it”');
    expect(where).toHaveTextContent('bags 2 to 3 wait for “Sew the zip”');
    await waitFor(() => expect(worked(known)).toBe(1));
  });

  it('takes other keys, such as a pedal types', async () => {
    const { known } = bench(workView(turn('Sew the zip', part(1, 0)), turn('Box it', part(1, 0))));
    await open();
    await screen.findByRole('heading', { name: 'Sew the zip' });
    await userEvent.keyboard('l');
    const keys = within(screen.getByRole('region', { name: 'Keys' }));
    await userEvent.click(keys.getByLabelText('Count one'));
    await userEvent.keyboard('{F9}');
    await userEvent.click(keys.getByRole('button', { name: 'Back to work' }));
    await userEvent.keyboard('{Enter}{F9}');
    await waitFor(() => expect(worked(known)).toBe(1));
  });

  const gate = {
    kind: 'BEFORE' as const,
    text: 'Slider inside',
    from: '',
    gate: true,
    seconds: 0,
    times: 1,
  };

  it('counts no bag whose check isn’t confirmed, however quickly it is touched', async () => {
    const one = turn('Cut the zip', { ...part(1, 0), prompts: [gate] });
    const { known } = bench(workView(one));
    await open();
    await screen.findByRole('heading', { name: 'Cut the zip' });
    await userEvent.keyboard('{Enter}');
    expect(await screen.findByText('Confirm first: Slider inside.')).toBeInTheDocument();
    await userEvent.keyboard('c');
    const button = screen.getByRole('button', { name: /^One done/ });
    for (let touch = 0; touch < 4; touch++) button.click();
    expect(await screen.findByText('1', { selector: '.font-bold' })).toBeVisible();
    await waitFor(() => expect(worked(known)).toBe(1));
    expect([...known.values()][0]?.confirmed).toEqual(['Slider inside']);
    expect(screen.getByText('must be confirmed')).toBeVisible();
  });

  it('ticks one thing after another, and starts what is held', async () => {
    const press = { ...gate, kind: 'DO' as const, text: 'Press', gate: false, seconds: 12, times: 6 };
    bench(workView(turn('Fuse', { ...part(1, 0), prompts: [gate, press] })));
    await open();
    await screen.findByRole('heading', { name: 'Fuse' });
    await userEvent.keyboard('cc');
    expect(screen.getByRole('button', { name: /Slider inside/, pressed: true })).toBeVisible();
    expect(screen.getByRole('button', { name: /do\s*Press/, pressed: true })).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: '12 s, 6 times' }));
    expect(screen.getByRole('timer', { name: 'Press' })).toHaveTextContent('0:12');
    expect(screen.getByText('Press, 1 of 6')).toBeVisible();
  });

  it('has a piece cut once more from what the shelf gives, of the dye that is chosen', async () => {
    const { known } = bench(workView(turn('Sew the sides', part(1, 1))));
    await open();
    await screen.findByRole('heading', { name: 'Sew the sides' });
    await userEvent.keyboard('x');
    const sides = await screen.findByRole('group', { name: 'B Side' });
    await userEvent.click(within(sides).getByRole('button', { name: '2' }));
    expect(await screen.findByText(/B and B from offcut 4/)).toBeVisible();
    await userEvent.click(within(sides).getByRole('button', { name: '1' }));
    expect(await screen.findByText('B from offcut 4.')).toBeVisible();
    expect(screen.getByRole('radio', { name: /offcut 4/ })).toBeChecked();
    await userEvent.click(screen.getByRole('radio', { name: /roll 5/ }));
    expect(screen.getByText(/Another dye than the batch has/)).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Log it' }));
    await waitFor(() => expect(known.size).toBe(1));
    expect([...known.values()][0]?.slip).toEqual({
      outcome: 'MENDED',
      usedUp: [],
      again: { pieces: ['B'], dyes: [{ materialId: 3, dye: '13' }] },
    });
  });

  it('logs what went wrong: a bag that is scrapped is one fewer from here on', async () => {
    const takes = [
      {
        materialId: 5,
        part: 'WHOLE' as const,
        name: 'Zip tape, navy',
        amount: { text: '9 in', exact: '9 in', value: 9 },
        byNow: true,
      },
    ];
    const sides = turn('Sew the sides', { ...part(1, 1), takes });
    const box = turn('Box it', { ...part(1, 0), before: ['Sew the sides'] });
    const { known } = bench(workView(sides, box));
    await open();
    await screen.findByRole('heading', { name: 'Sew the sides' });
    await userEvent.keyboard('x');
    await userEvent.keyboard('puckk{Backspace}ered');
    await userEvent.click(screen.getByRole('radio', { name: /Scrap/ }));
    expect(screen.getByRole('checkbox', { name: /Zip tape/ })).toBeChecked();
    await userEvent.clear(screen.getByLabelText('How many bags'));
    await userEvent.type(screen.getByLabelText('How many bags'), '3');
    await userEvent.click(screen.getByRole('button', { name: 'Log it' }));
    expect(screen.getByText(/Only 2 are still to be done here/)).toBeInTheDocument();
    await userEvent.type(screen.getByLabelText('How many bags'), '{Backspace}1');
    await userEvent.click(screen.getByRole('button', { name: 'Log it' }));
    expect(await screen.findByText(/Scrapped: 1/)).toBeInTheDocument();
    expect(await screen.findByText('of 2')).toBeVisible();
    await waitFor(() => expect(known.size).toBe(1));
    expect([...known.values()][0]).toMatchObject({
      kind: 'SLIPPED',
      bags: 1,
      reason: 'puckered',
      slip: { outcome: 'SCRAP', usedUp: [{ materialId: 5, part: 'WHOLE' }] },
    });
  });
});
