import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, vi } from 'vitest';
import { amount, length, money } from '../../ui/fixtures.test.helper';
import { rendered } from '../../ui/rendered.test.helper';
import { server } from '../designs/editing.test.helper';
import { cloth, notion, page } from './fixtures.test.helper';
import MaterialsPage from './MaterialsPage';

afterEach(() => vi.unstubAllGlobals());

const bench = {
  shortages: [
    {
      materialId: 7,
      name: 'Juniper Dot',
      shortBy: amount('5 in', 5, length('5 in', '12.7 cm')),
      batches: [],
    },
  ],
};

/** Answers each kind with its own materials. */
function shelf(byKind: Record<string, unknown[]>) {
  const asked: string[] = [];
  vi.stubGlobal(
    'fetch',
    vi.fn(async (path: string) => {
      asked.push(path);
      const url = new URL(path, 'http://localhost');
      const body = path.startsWith('/api/bench')
        ? bench
        : path.startsWith('/api/finished-goods') || path.startsWith('/api/cut-pieces')
          ? { page: page([]), places: [] }
          : page(byKind[url.searchParams.get('kind') ?? ''] ?? []);
      return new Response(JSON.stringify(body), { headers: { 'Content-Type': 'application/json' } });
    }),
  );
  return asked;
}

describe('the shelf', () => {
  it('shows cloths with what is left, held and short, and notions in compartments by halves', async () => {
    shelf({
      CLOTH: [cloth()],
      NOTION: [
        notion({
          low: true,
          parts: [
            { part: 'SOCKET', onHand: { ...amount('20', 20), count: 20 } },
            { part: 'STUD', onHand: { ...amount('14', 14), count: 14 } },
          ],
        }),
      ],
    });
    rendered(<MaterialsPage />);
    const cloths = within(screen.getByRole('region', { name: 'Cloth, lining, interfacing' }));
    expect(await cloths.findByRole('link', { name: 'Juniper Dot' })).toHaveAttribute('href', '/materials/7');
    expect(cloths.getByText('3 yd')).toBeVisible();
    expect(cloths.getByText('43 in wide · 1 yd held · 2 offcuts')).toBeVisible();
    expect(await cloths.findByText('5 in short')).toBeVisible();
    const counted = screen.getByRole('region', { name: 'By count' });
    expect(counted).toHaveTextContent('14Snap20 sockets14 studslow');
  });

  it('asks the server for what is searched, of one kind or of what is low', async () => {
    const asked = shelf({ CLOTH: [cloth()] });
    rendered(<MaterialsPage />);
    await screen.findByText('Juniper Dot');
    await userEvent.click(screen.getByRole('button', { name: 'Cloth' }));
    await userEvent.click(screen.getByRole('button', { name: 'Low only' }));
    await userEvent.type(screen.getByRole('searchbox', { name: 'Find a material' }), 'jun & dot');
    await vi.waitFor(() =>
      expect(asked).toContain(
        '/api/materials?kind=CLOTH&size=60&low=true&putAway=false&query=jun%20%26%20dot',
      ),
    );
    expect(screen.queryByRole('region', { name: 'By count' })).toBeNull();
  });

  it('says what to do where nothing is entered, and otherwise that nothing matches', async () => {
    shelf({});
    rendered(<MaterialsPage />);
    expect(await screen.findByText('The shelf is empty here')).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Low only' }));
    expect(await screen.findByText('Nothing here matches')).toBeVisible();
  });
});

describe('what was cut and not sewn', () => {
  it('lies on the shelf too', async () => {
    server({
      '/api/bench': bench,
      '/api/materials': page([]),
      '/api/finished-goods': { page: page([]), places: [] },
      '/api/cut-pieces': {
        page: page([
          {
            id: 1,
            letter: 'A',
            pieceName: 'Face',
            designName: 'Heron',
            sizeName: 'small',
            clothName: 'Dot',
            pieces: 8,
            worth: money(412),
          },
        ]),
        total: money(412),
      },
    });
    rendered(<MaterialsPage />);
    const region = await screen.findByRole('region', { name: 'Cut, not sewn' });
    expect(region).toHaveTextContent('A, FaceHeron, small · Dot84.12');
  });
});

describe('what a material is', () => {
  it('sends what is as usual as not said', async () => {
    const sent = server({
      '/api/bench': bench,
      '/api/materials': page([]),
      '/api/finished-goods': { page: page([]), places: [] },
    });
    rendered(<MaterialsPage />);
    await userEvent.click(await screen.findByRole('button', { name: 'Add cloth' }));
    await userEvent.type(screen.getByLabelText('Name'), 'Twill');
    await userEvent.click(screen.getByText('More about this cloth'));
    await userEvent.selectOptions(screen.getByLabelText('May it be ironed?'), 'no');
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    const post = sent.find((one) => one.body !== undefined);
    expect(post?.body).toMatchObject({
      name: 'Twill',
      kind: 'CLOTH',
      facts: { ironable: false, print: 'PLAIN' },
    });
    expect((post?.body as { facts: object }).facts).not.toHaveProperty('frays');
    expect((post?.body as { facts: object }).facts).not.toHaveProperty('weightClass');
  });
});
