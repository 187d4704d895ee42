import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { vi } from 'vitest';
import { rendered } from '../../../ui/rendered.test.helper';
import QuotePage from './QuotePage';

const money = (minor: number) => ({ amount: (minor / 100).toFixed(2), minor });

const FIGURES = {
  lines: [
    {
      design: 'Heron',
      size: '',
      cloth: '',
      units: 6,
      cost: money(800),
      usual: money(1200),
      price: money(1200),
      pays: money(1200),
      total: money(7200),
      left: money(400),
      perHour: money(2400),
      each: { text: '12 min', seconds: 720 },
      byNumber: [],
    },
  ],
  total: money(7200),
  deposit: money(2160),
  rest: money(5040),
  hours: { text: '1 h 12', seconds: 4320 },
  toBuy: [],
};

const CHANNELS = [
  {
    id: 4,
    usual: true,
    putAway: false,
    says: '',
    former: [],
    terms: { name: 'Private order', kind: 'BUYERS', fees: [] },
  },
];

/** A server whose designs come late. */
function server() {
  let comes: (() => void) | undefined;
  const sent: { path: string; body: { lines: { units: string; wish: string; materials: unknown[] }[] } }[] =
    [];
  vi.stubGlobal(
    'fetch',
    vi.fn((path: string, init?: RequestInit) => {
      const answer = (body: unknown) => Promise.resolve(Response.json(body));
      if (path.endsWith('/slot-materials')) return answer([]);
      if (init?.method === 'POST') {
        sent.push({ path, body: JSON.parse(init.body as string) as (typeof sent)[number]['body'] });
        return answer(FIGURES);
      }
      if (path === '/api/channels') return answer(CHANNELS);
      if (path === '/api/quotes/paper')
        return answer({ version: 0, heading: '', terms: '', deposit: '30', validDays: '21' });
      if (path === '/api/design-names') return answer([{ id: 7, name: 'Heron' }]);
      if (path === '/api/designs/7')
        return new Promise<Response>((resolve) => {
          comes = () =>
            resolve(
              Response.json({
                document: {
                  sizes: ['small'],
                  sizeKeys: ['s1'],
                  slots: [{ key: 'outer', label: 'Outer', kind: 'CLOTH', materialId: 3 }],
                },
              }),
            );
        });
      return answer([]);
    }),
  );
  return { sent, designComes: () => comes?.() };
}

describe('QuotePage', () => {
  beforeEach(() => sessionStorage.clear());

  it('keeps what is typed while the chosen bag is still being read', async () => {
    const { sent, designComes } = server();
    rendered(<QuotePage />);
    const user = userEvent.setup();
    await screen.findByRole('option', { name: 'Heron' });
    await user.selectOptions(screen.getByLabelText('Bag'), '7');
    expect(screen.getByLabelText('Bag')).toHaveValue('7');
    const many = screen.getByLabelText('How many');
    await user.type(many, '{Backspace}9');
    await user.click(screen.getByText('A wish, or your own price'));
    await user.type(screen.getByLabelText('Wish'), 'a name {{ç}');
    designComes();
    await waitFor(() => expect(sent.some((one) => one.path.endsWith('/preview'))).toBe(true));
    const line = sent.at(-1)?.body.lines[0];
    expect(line).toMatchObject({
      units: '9',
      sizeKey: 's1',
      wish: 'a name {ç}',
      materials: [{ slot: 'outer', materialId: 3 }],
    });
    expect(many).toHaveValue('9');
  });
});
