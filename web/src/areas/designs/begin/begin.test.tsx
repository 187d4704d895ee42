import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Route, Routes } from 'react-router';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../../../api/client';
import { design, length, server, sizeSheet } from '../../../ui/fixtures.test.helper';
import { rendered } from '../../../ui/rendered.test.helper';
import { editor } from '../editing.test.helper';
import { PartsTab } from '../PartsTab';
import { onPaper } from './brief';
import BriefPage from './BriefPage';
import KindsPage from './KindsPage';

const lining: Schemas['ChoiceView'] = {
  choice: 'LINING',
  words: 'Lining',
  part: 'LINING',
  partWords: 'Lining',
  chosen: 'UNLINED',
  options: [
    { option: 'LINED', words: 'same size', sentence: 'Cut like the outer.' },
    { option: 'UNLINED', words: 'none', sentence: 'One layer.' },
  ],
};
const pocket: Schemas['ChoiceView'] = {
  choice: 'POCKET',
  words: 'Pocket inside',
  part: 'POCKETS',
  partWords: 'Pockets',
  chosen: 'NO_POCKET',
  options: [
    { option: 'NO_POCKET', words: 'none', sentence: 'Nothing inside.' },
    { option: 'ZIP_POCKET', words: 'with zip', sentence: 'Behind a zip.', notWith: 'lining: none' },
  ],
};

const draft: Schemas['DraftView'] = {
  kind: 'Boxed zip pouch',
  document: design({}),
  sheet: { sizes: [sizeSheet('one size', {})], canBeSewn: true, times: [], cloths: [], parts: [] },
  choices: [lining, pocket],
  measures: [
    { symbol: 'width', label: 'Width at the base', value: '8 in', asked: true, isLength: true },
    { symbol: 'seam', label: 'Seam allowance', value: '1/4 in', asked: false, isLength: true },
    {
      symbol: 'band',
      label: 'Band at the rim',
      value: '1 in',
      asked: false,
      isLength: true,
      part: 'LINING',
    },
  ],
  slots: [
    {
      slot: 'outer',
      label: 'Outer cloth',
      kind: 'CLOTH',
      cloth: 'QUILTING_COTTON',
      serving: [],
      per: '1 yd',
      width: '42 in',
    },
  ],
  disagreements: [],
};

function opened(answers: Record<string, unknown> = {}) {
  const sent = server({
    '/api/kinds/draft': draft,
    '/api/materials/named': { id: 31, name: 'Blue' },
    '/api/materials': { items: [], page: 0, size: 500, total: 0 },
    ...answers,
  });
  rendered(
    <Routes>
      <Route path="*" element={<BriefPage />} />
    </Routes>,
  );
  return sent;
}

const lastDraft = (sent: { path: string; body?: unknown }[]) =>
  sent.filter(({ path }) => path.endsWith('/api/kinds/draft')).at(-1)?.body as Schemas['BriefForm'];

describe('a brief', () => {
  beforeEach(() => sessionStorage.clear());

  it('is drafted anew with what is typed, key by key and with corrections', async () => {
    const sent = opened();
    const width = await screen.findByLabelText('Width at the base');
    expect(width).toHaveValue('8 in');
    await userEvent.clear(width);
    await userEvent.type(width, '9 1/3{Backspace}4{Enter}');
    await vi.waitFor(() => expect(lastDraft(sent).measures).toEqual({ width: '9 1/4' }));
    expect(sent.some(({ path }) => path.endsWith('/api/kinds/designs'))).toBe(false);
  });

  it('shows what a measure comes to, and its formula only to whoever asks', async () => {
    const flap = {
      symbol: 'flap',
      label: 'Flap',
      value: 'up_to(height / 2; 5 mm)',
      asked: true,
      isLength: true,
    };
    const size = sizeSheet('one size', {
      measurements: [{ symbol: 'flap', value: length('3 in', '≈ 7.7 cm'), text: '3 in' }],
      workedOut: [{ formula: flap.value, value: length('3 in', '≈ 7.7 cm'), text: '3 in' }],
    });
    const sent = opened({
      '/api/kinds/draft': { ...draft, measures: [flap], sheet: { ...draft.sheet, sizes: [size] } },
    });
    const field = await screen.findByLabelText('Flap');
    expect(field).toHaveValue('3 in');
    expect(field).toHaveAccessibleDescription(/^≈ 7.7 cm/);
    await userEvent.click(screen.getByRole('button', { name: 'How Flap is worked out' }));
    expect(field).toHaveValue('up_to(height / 2; 5 mm)');
    await userEvent.clear(field);
    await userEvent.type(field, '4');
    await vi.waitFor(() => expect(sent.at(-1)?.body).toMatchObject({ measures: { flap: '4' } }));
  });

  it('asks for the measures of a part where that is chosen', async () => {
    const sent = opened();
    const choice = await screen.findByRole('group', { name: 'Lining' });
    await userEvent.type(within(choice).getByLabelText('Band at the rim'), '{Control>}a{/Control}2,5 cm');
    await vi.waitFor(() => expect(lastDraft(sent).measures.band).toContain('2,5 cm'));
    await userEvent.click(screen.getByRole('button', { name: 'More measures (1)' }));
    expect(screen.getByLabelText('Seam allowance')).toHaveValue('1/4 in');
  });

  it('says why an option isn’t offered, and takes one that is', async () => {
    const sent = opened();
    const choice = await screen.findByRole('group', { name: 'Pocket inside' });
    expect(within(choice).getByRole('radio', { name: /with zip ?\(not with lining: none\)/ })).toBeDisabled();
    await userEvent.click(screen.getByRole('radio', { name: 'same size' }));
    await vi.waitFor(() => expect(lastDraft(sent).chosen).toEqual({ LINING: 'LINED' }));
  });

  it('names what isn’t on the shelf yet, with its price', async () => {
    const sent = opened();
    const group = await screen.findByRole('group', { name: 'Outer cloth, to buy' });
    await userEvent.clear(within(group).getByLabelText('Called'));
    await userEvent.type(within(group).getByLabelText('Called'), 'Blue');
    await userEvent.type(within(group).getByLabelText('Price for 1 yd'), '12,40{Enter}');
    await vi.waitFor(() => expect(lastDraft(sent).materials).toEqual({ outer: 31 }));
    expect(sent.find(({ path }) => path.endsWith('/named'))?.body).toMatchObject({
      name: 'Blue',
      price: '12,40',
      kind: 'CLOTH',
      cloth: 'QUILTING_COTTON',
    });
  });

  it('is saved under its name, and what was typed is kept until then', async () => {
    const sent = opened({ '/api/kinds/designs': { id: 5 } });
    await userEvent.type(await screen.findByLabelText('What do you call it?'), 'Gull');
    expect(sessionStorage.getItem(Object.keys(sessionStorage)[0] ?? '')).toContain('Gull');
    await userEvent.click(screen.getByRole('button', { name: 'Save the design' }));
    await vi.waitFor(() =>
      expect(sent.find(({ path }) => path.endsWith('/api/kinds/designs'))?.body).toMatchObject({
        brief: { name: 'Gull' },
      }),
    );
  });
});

describe('what a paper says', () => {
  it('is kept by piece, and forgotten when it is emptied', () => {
    const one = onPaper([], 'B', { width: '12' });
    expect(one).toEqual([{ letter: 'B', width: '12', height: '' }]);
    const both = onPaper(one, 'B', { height: '9' });
    expect(both).toEqual([{ letter: 'B', width: '12', height: '9' }]);
    expect(onPaper(onPaper(both, 'B', { width: '' }), 'B', { height: ' ' })).toEqual([]);
  });
});

describe('the wall of kinds', () => {
  it('begins a copy of a design that is there', async () => {
    const sent = server({
      '/api/kinds': [
        { kind: 'CASE', words: 'Slim case', sentence: 'Quilted.', measures: ['4 in', '7 in'] },
      ] satisfies Schemas['KindView'][],
      '/api/design-names': [{ id: 7, name: 'Tern' }],
      '/api/designs': { id: 9 },
    });
    rendered(<KindsPage />);
    expect(await screen.findByRole('link', { name: /Slim case/ })).toHaveAttribute(
      'href',
      '/designs/new/CASE',
    );
    await userEvent.selectOptions(
      screen.getByLabelText('Begin with'),
      await screen.findByRole('option', { name: 'a copy of Tern' }),
    );
    await userEvent.type(screen.getByLabelText('What do you call it?'), 'Gull');
    await userEvent.click(screen.getByRole('button', { name: 'Begin' }));
    await vi.waitFor(() =>
      expect(sent.find(({ body }) => body)?.body).toMatchObject({ name: 'Gull', copyOf: 7 }),
    );
  });
});

describe('the choices of a design', () => {
  it('are changed later, and what was changed by hand is said', async () => {
    const begun: Schemas['Begun'] = {
      kind: 'BOXED_POUCH',
      known: 'FINISHED',
      chosen: { LINING: 'UNLINED' },
      system: 'INCH',
      seam: '1/4 in',
    };
    const start = design({ begun });
    const after = design({ begun: { ...begun, chosen: { LINING: 'LINED' } }, note: 'lined' });
    server({
      '/api/designs/rechosen': {
        document: after,
        choices: [lining],
        measures: [],
        kept: ['“Zip”: its length was changed by hand, so it stays as it is.'],
      },
    });
    const { current } = editor(<PartsTab />, start);
    await userEvent.click(await screen.findByRole('radio', { name: 'same size' }));
    expect(await screen.findByText(/its length was changed by hand/)).toBeVisible();
    expect(current.document.note).toBe('lined');
  });
});
