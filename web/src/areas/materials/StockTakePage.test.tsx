import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { amount } from '../../ui/fixtures.test.helper';
import { rendered } from '../../ui/rendered.test.helper';
import { server } from '../designs/editing.test.helper';
import StockTakePage from './StockTakePage';

beforeEach(() => sessionStorage.clear());
afterEach(() => vi.unstubAllGlobals());

const line = (materialId: number, name: string, place: string): Schemas['CountLine'] => ({
  materialId,
  part: 'WHOLE',
  name,
  kind: 'NOTION',
  colour: '#888888',
  place,
  book: { ...amount('40', 40), count: 40 },
});

const part = (total: number, ...items: Schemas['CountLine'][]) => ({
  places: ['drawer 1', 'drawer 2'],
  page: { items, page: 0, size: 60, total },
});

const hook = line(1, 'Hook', 'drawer 1');
const eye = line(2, 'Eye', 'drawer 2');
const walk = part(2, hook, eye);

describe('a stock-take', () => {
  it('sends only what was counted, with what the book said then', async () => {
    const answers = { '/api/stock-take': walk, '/api/stock-takes': { counted: 1, differences: 1 } };
    const sent = server(answers);
    rendered(<StockTakePage />);
    const drawer = await screen.findByRole('button', { name: 'drawer 1' });
    answers['/api/stock-take'] = part(1, hook);
    await userEvent.click(drawer);
    await waitFor(() => expect(screen.queryByText('Eye')).toBeNull());
    expect(sent.map((one) => one.path)).toContain('/api/stock-take?query=&place=drawer%201&page=0');
    await userEvent.type(screen.getByLabelText('There is of Hook'), '37');
    await userEvent.click(screen.getByRole('button', { name: 'Enter 1 counted' }));
    expect(await screen.findByText('1 counted, 1 differed and were set right.')).toBeVisible();
    expect(sent.find((one) => one.path === '/api/stock-takes')?.body).toMatchObject({
      reason: 'stock-take',
      lines: [{ materialId: 1, part: 'WHOLE', bookValue: 40, there: '37' }],
    });
    expect(screen.getByLabelText('There is of Hook')).toHaveValue('');
  });

  it('sends what was typed before another name was looked for', async () => {
    const answers = { '/api/stock-take': walk, '/api/stock-takes': { counted: 2, differences: 1 } };
    const sent = server(answers);
    rendered(<StockTakePage />);
    await userEvent.type(await screen.findByLabelText('There is of Hook'), '37');
    answers['/api/stock-take'] = part(1, { ...eye, lotId: 7 });
    await userEvent.type(screen.getByLabelText('Find what to count'), 'eye');
    await waitFor(() => expect(screen.queryByText('Hook')).toBeNull());
    await userEvent.type(screen.getByLabelText('There is of Eye'), '40');
    await userEvent.click(screen.getByRole('button', { name: 'Enter 2 counted' }));
    await waitFor(() =>
      expect(sent.find((one) => one.path === '/api/stock-takes')?.body).toMatchObject({
        lines: [
          { materialId: 1, part: 'WHOLE', bookValue: 40, there: '37' },
          { materialId: 2, lotId: 7, part: 'WHOLE', bookValue: 40, there: '40' },
        ],
      }),
    );
  });

  it('keeps what is typed while the rest is sent, under another number', async () => {
    const answers: Record<string, unknown> = { '/api/stock-take': walk };
    const sent = server(answers);
    const answered = globalThis.fetch;
    let letGo = () => {};
    const held = new Promise<void>((resolve) => (letGo = resolve));
    vi.stubGlobal('fetch', async (path: string, options: RequestInit) => {
      if (options.method === 'POST') await held;
      return answered(path, options);
    });
    answers['/api/stock-takes'] = { counted: 1, differences: 1 };
    rendered(<StockTakePage />);
    await userEvent.type(await screen.findByLabelText('There is of Hook'), '37');
    await userEvent.click(screen.getByRole('button', { name: 'Enter 1 counted' }));
    await userEvent.type(screen.getByLabelText('There is of Eye'), '12');
    letGo();
    expect(await screen.findByText('1 counted, 1 differed and were set right.')).toBeVisible();
    expect(screen.getByLabelText('There is of Hook')).toHaveValue('');
    expect(screen.getByLabelText('There is of Eye')).toHaveValue('12');
    await userEvent.click(screen.getByRole('button', { name: 'Enter 1 counted' }));
    const posts = () =>
      sent.filter((one) => one.path === '/api/stock-takes').map((one) => one.body as Record<string, unknown>);
    await waitFor(() => expect(posts()).toHaveLength(2));
    expect(posts()[1]?.lines).toMatchObject([{ materialId: 2, there: '12' }]);
    expect(posts()[1]?.requestId).not.toBe(posts()[0]?.requestId);
  });

  it('shows a long shelf part by part', async () => {
    server({ '/api/stock-take': part(130, hook, eye) });
    rendered(<StockTakePage />);
    expect(await screen.findByText('2 of 130')).toBeVisible();
  });

  it('keeps what was typed in this tab until it is entered', async () => {
    server({ '/api/stock-take': walk });
    const { unmount } = rendered(<StockTakePage />);
    await userEvent.type(await screen.findByLabelText('There is of Eye'), '12');
    unmount();
    rendered(<StockTakePage />);
    await waitFor(() => expect(screen.getByLabelText('There is of Eye')).toHaveValue('12'));
  });
});
