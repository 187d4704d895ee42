import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { afterEach, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { design, drawing, length, piece as drawn } from '../../ui/fixtures.test.helper';
import { editor, refusing, server } from './editing.test.helper';
import { PieceTable } from './PieceTable';

const piece = (letter: string, name: string): Schemas['PieceRow'] => ({
  letter,
  name,
  role: 'OUTER',
  slot: 'outer',
  quantity: '2',
  layers: 1,
  width: 'width + 2 * seam',
  height: '20 cm',
  shapes: [],
  edges: { top: '', right: '', bottom: '', left: '' },
  directional: false,
  fold: 'NONE',
  boxed: false,
  marks: [],
});

function Table() {
  const [opened, setOpened] = useState<string>();
  return <PieceTable opened={opened} onOpen={setOpened} />;
}

const start = () =>
  design({
    pieces: [piece('A', 'Front'), piece('B', 'Lining')],
    slots: [{ key: 'outer', label: 'Outer cloth', kind: 'CLOTH', cloths: [] }],
    form: { ...design().form, outer: 'A' },
  });

afterEach(() => vi.unstubAllGlobals());

describe('the pieces of a design', () => {
  it('show what they are cut to in both units, and the formula to whoever asks', async () => {
    const { current } = editor(<Table />, start(), {
      pieces: [drawn('A')],
      workedOut: [{ formula: 'width + 2 * seam', value: length('10 31/64 in', '≈ 26.6 cm'), text: '' }],
    });
    const width = screen.getByRole('combobox', { name: 'Width, Front' });
    // Cut sizes are rounded up; the formula's own value isn't what is cut.
    expect(width).toHaveValue('10 ½ in');
    expect(screen.getByText('≈ 26.7 cm')).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'How Width, Front is worked out' }));
    expect(width).toHaveValue('width + 2 * seam');
    await userEvent.type(width, ' + 1');
    expect(width).toHaveValue('width + 2 * seam + 1');
    await userEvent.type(width, '{Backspace}{Backspace}{Backspace}{Backspace}');
    // The formula stands there as long as it is typed, so what it comes to is below.
    expect(width).toHaveAccessibleDescription('10 ½ in · ≈ 26.7 cm');
    await userEvent.type(width, ' + 1');
    expect(current.document.pieces[0]?.width).toBe('width + 2 * seam + 1');
    // A length as it was typed stands as it was typed.
    expect(screen.getByLabelText('Height, Front')).toHaveValue('20 cm');
    expect(screen.getByText('8 in · ≈ 20.4 cm')).toBeVisible();
    await userEvent.type(screen.getByLabelText('Height, Lining'), ' + seam');
    expect(current.document.pieces[1]?.height).toBe('20 cm + seam');
    expect(current.document.pieces[0]?.height).toBe('20 cm');
  });

  it('are added with a free letter, and removed', async () => {
    const { current } = editor(<Table />, start());
    await userEvent.click(screen.getByRole('button', { name: 'Add a piece' }));
    expect(current.document.pieces.map((p) => p.letter)).toEqual(['A', 'B', 'C']);
    expect(current.document.pieces[2]?.slot).toBe('outer');
    await userEvent.keyboard('{Escape}');
    await userEvent.click(screen.getByRole('button', { name: 'Remove Lining' }));
    expect(current.document.pieces.map((p) => p.letter)).toEqual(['A', 'C']);
  });

  it('ask for the measures of their shape', async () => {
    const { current } = editor(<Table />, start());
    await userEvent.click(screen.getByRole('button', { name: 'A · Front' }));
    const panel = within(screen.getByRole('dialog'));
    expect(panel.queryByLabelText('Radius')).toBeNull();
    await userEvent.click(panel.getByRole('button', { name: 'Cut something away' }));
    await userEvent.type(panel.getByLabelText('Radius'), '2 cm');
    await userEvent.selectOptions(panel.getByLabelText('Where'), 'at both ends');
    await userEvent.click(panel.getByRole('button', { name: 'Cut something away' }));
    await userEvent.selectOptions(panel.getAllByLabelText('Shape').at(-1) as HTMLElement, 'a V');
    await userEvent.type(panel.getByLabelText('V, depth'), '1 in');
    expect(current.document.pieces[0]?.shapes).toEqual([
      { kind: 'ROUNDED', place: 'BOTH', across: '2 cm', along: '' },
      { kind: 'NOTCHED', place: 'TOP', across: '', along: '1 in' },
    ]);
    await userEvent.click(panel.getByRole('button', { name: 'Remove the shape rounded, or a flap' }));
    expect(current.document.pieces[0]?.shapes).toHaveLength(1);
  });

  it('get an outline drawn by hand, its points typed, added, pulled by key and taken away', async () => {
    const { current } = editor(<Table />, start(), {
      pieces: [
        {
          ...drawn('A'),
          drawing: drawing(254, 203, {
            handles: [
              { x: 254, y: 0, fromX: 127, fromY: 0 },
              { x: 254, y: 203.2, fromX: 127, fromY: 0 },
            ],
          }),
        },
      ],
    });
    await userEvent.click(screen.getByRole('button', { name: 'A · Front' }));
    const panel = within(screen.getByRole('dialog'));
    await userEvent.click(panel.getByRole('button', { name: 'Cut something away' }));
    await userEvent.selectOptions(panel.getByLabelText('Shape'), 'drawn by hand');
    const outline = () => current.document.pieces[0]?.shapes[0]?.drawn;
    expect(outline()?.points.map((point) => point.across)).toEqual(['piece_width / 2', 'piece_width / 2']);

    panel.getByRole('button', { name: /^Point 2:/ }).focus();
    await userEvent.keyboard('{ArrowUp}');
    expect(outline()?.points[1]).toMatchObject({ across: '5 in', down: '7 15/16 in', side: 'RIGHT' });
    await userEvent.keyboard('{Shift>}{ArrowLeft}{/Shift}');
    expect(outline()?.points[1]).toMatchObject({ across: '4 1/2 in', down: '8 in' });

    await userEvent.click(panel.getByRole('button', { name: 'Add a point after 1' }));
    expect(outline()?.points).toHaveLength(3);
    expect(outline()?.points[1]).toMatchObject({ across: '5 in', down: '4 in' });
    await userEvent.selectOptions(panel.getByLabelText('Reached along, point 2'), 'reached in a curve');
    await userEvent.clear(panel.getByLabelText('Down, point 2'));
    await userEvent.type(panel.getByLabelText('Down, point 2'), '3 in + seam');
    expect(outline()?.points[1]).toMatchObject({ down: '3 in + seam', curved: true });
    await userEvent.selectOptions(panel.getByLabelText('Drawn is'), 'where it is sewn');
    await userEvent.selectOptions(panel.getByLabelText('Sharp corners are'), 'cut across');
    expect(outline()).toMatchObject({ line: 'SEWN', tips: 'CLIPPED' });
    await userEvent.click(panel.getByRole('button', { name: 'Take point 1 away' }));
    expect(outline()?.points).toHaveLength(2);

    await userEvent.selectOptions(panel.getByLabelText('Shape'), 'a V');
    expect(outline()).toBeUndefined();
  });

  it('get marks', async () => {
    const { current } = editor(<Table />, start());
    await userEvent.click(screen.getByRole('button', { name: 'A · Front' }));
    const panel = within(screen.getByRole('dialog'));
    await userEvent.click(panel.getByRole('button', { name: 'Add a mark' }));
    await userEvent.type(panel.getByLabelText('So far'), '3 cm');
    await userEvent.selectOptions(panel.getByLabelText('Measured down from'), 'the bottom');
    expect(current.document.pieces[0]?.marks[0]).toMatchObject({
      kind: 'POCKET',
      across: '3 cm',
      downFrom: 'BOTTOM',
    });
  });

  it('keep their letter key by key, and get another one as a whole when the field is left', async () => {
    const { current } = editor(<Table />, start());
    const renamed = { ...start(), pieces: [piece('BA', 'Front'), piece('B', 'Lining')] };
    const sent = server({ '/api/designs/renamed': renamed });
    await userEvent.click(screen.getByRole('button', { name: 'A · Front' }));
    const panel = within(screen.getByRole('dialog'));
    const letter = panel.getByLabelText('Letter');
    // Through an empty letter, and through one that another piece has.
    await userEvent.type(letter, '{Backspace}B');
    expect(current.document.pieces.map((p) => p.letter)).toEqual(['A', 'B']);
    await userEvent.type(letter, 'A');
    expect(sent).toHaveLength(0);
    await userEvent.tab();
    expect(sent).toHaveLength(1);
    expect(sent[0]?.body).toMatchObject({ what: 'LETTER', from: 'A', to: 'BA' });
    expect(current.document).toEqual(renamed);
    expect(panel.getByLabelText('Letter')).toHaveValue('BA');
    expect(screen.getByRole('dialog', { name: 'BA · Front' })).toBeVisible();
  });

  it('keep the letter that was typed when the panel is closed, which stays closed', async () => {
    const renamed = { ...start(), pieces: [piece('T', 'Front'), piece('B', 'Lining')] };
    const { current } = editor(<Table />, start());
    server({ '/api/designs/renamed': renamed });
    await userEvent.click(screen.getByRole('button', { name: 'A · Front' }));
    await userEvent.type(within(screen.getByRole('dialog')).getByLabelText('Letter'), '{Backspace}T{Escape}');
    expect(await screen.findByRole('button', { name: 'T · Front' })).toBeVisible();
    expect(current.document.pieces.map((p) => p.letter)).toEqual(['T', 'B']);
    expect(screen.queryByRole('dialog')).toBeNull();
  });

  it('say why a letter is refused, and leave everything as it was', async () => {
    const { current } = editor(<Table />, start());
    refusing('“B” is taken. Type another name; so far it is “A”.');
    await userEvent.click(screen.getByRole('button', { name: 'A · Front' }));
    const letter = within(screen.getByRole('dialog')).getByLabelText('Letter');
    await userEvent.type(letter, '{Backspace}B{Enter}');
    expect(await screen.findByText(/“B” is taken/)).toBeVisible();
    expect(letter).toHaveValue('B');
    expect(current.document).toEqual(start());
    await userEvent.type(letter, '{Backspace}A');
    expect(screen.queryByText(/is taken/)).toBeNull();
  });

  it('say at the field what is wrong with a formula', () => {
    editor(<Table />, start(), {
      findings: [{ severity: 'REFUSED', place: 'pieces.A.width', sentence: '“wdth” is not there.' }],
    });
    expect(screen.getByLabelText('Width, Front')).toBeInvalid();
    expect(screen.getByLabelText('Width, Front')).toHaveAccessibleDescription('“wdth” is not there.');
    expect(screen.getByLabelText('Width, Lining')).toBeValid();
  });

  it('are copied with all that is said about them', async () => {
    const { current } = editor(<Table />, start());
    await userEvent.click(screen.getByRole('button', { name: 'Copy Front' }));
    expect(current.document.pieces.map((p) => [p.letter, p.name])).toEqual([
      ['A', 'Front'],
      ['C', 'Front, copy'],
      ['B', 'Lining'],
    ]);
    expect(current.document.pieces[1]?.width).toBe('width + 2 * seam');
  });

  it('ask for a cloth of their own where they are, in one dialog', async () => {
    server({ '/api/materials': { items: [], total: 0 } });
    const { current } = editor(<Table />, start());
    await userEvent.click(screen.getByRole('button', { name: 'B · Lining' }));
    await userEvent.selectOptions(screen.getByLabelText('Cut from'), 'another material …');
    await userEvent.type(screen.getByLabelText('What is asked for'), 'Contrast cloth');
    await userEvent.click(screen.getByRole('button', { name: 'Ask for it' }));
    expect(current.document.slots.map((s) => [s.key, s.label, s.kind])).toEqual([
      ['outer', 'Outer cloth', 'CLOTH'],
      ['contrastcloth', 'Contrast cloth', 'CLOTH'],
    ]);
    expect(current.document.pieces.map((p) => p.slot)).toEqual(['outer', 'contrastcloth']);
  });

  it('bring the cloth they ask for, where the design asked for none', async () => {
    const { current } = editor(<Table />, design());
    await userEvent.click(screen.getByRole('button', { name: 'Add a piece' }));
    expect(current.document.pieces[0]?.slot).toBe('outercloth');
    expect(current.document.slots[0]).toMatchObject({
      key: 'outercloth',
      label: 'Outer cloth',
      kind: 'CLOTH',
    });
  });
});
