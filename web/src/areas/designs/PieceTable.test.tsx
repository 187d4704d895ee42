import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { design, piece as drawn } from '../../ui/fixtures.test.helper';
import { editor } from './editing.test.helper';
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
  shape: { kind: 'RECTANGLE', place: 'BOTTOM', across: '', along: '' },
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

describe('the pieces of a design', () => {
  it('show their formulas with what they come to, in both units', async () => {
    const { current } = editor(<Table />, start(), { pieces: [drawn('A')] });
    expect(screen.getByLabelText('Width, Front')).toHaveValue('width + 2 * seam');
    expect(screen.getByText('10 ½ in · ≈ 26.7 cm')).toBeVisible();
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
    await userEvent.selectOptions(panel.getByLabelText('Shape'), 'rounded corners or flap');
    await userEvent.type(panel.getByLabelText('Radius'), '2 cm');
    await userEvent.selectOptions(panel.getByLabelText('Where'), 'at both ends');
    expect(current.document.pieces[0]?.shape).toEqual({
      kind: 'ROUNDED',
      place: 'BOTH',
      across: '2 cm',
      along: '',
    });
  });

  it('get marks, and another letter wherever it stands', async () => {
    const { current } = editor(<Table />, start());
    await userEvent.click(screen.getByRole('button', { name: 'A · Front' }));
    const panel = within(screen.getByRole('dialog'));
    await userEvent.click(panel.getByRole('button', { name: 'Add a mark' }));
    await userEvent.type(panel.getByLabelText('From the left'), '3 cm');
    expect(current.document.pieces[0]?.marks[0]).toMatchObject({ kind: 'POCKET', across: '3 cm' });
    await userEvent.type(panel.getByLabelText('Letter'), '1');
    expect(current.document.pieces[0]?.letter).toBe('A1');
    expect(current.document.form.outer).toBe('A1');
  });

  it('say at the field what is wrong with a formula', () => {
    editor(<Table />, start(), {
      findings: [{ severity: 'REFUSED', place: 'pieces.A.width', sentence: '“wdth” is not there.' }],
    });
    expect(screen.getByLabelText('Width, Front')).toBeInvalid();
    expect(screen.getByLabelText('Width, Front')).toHaveAccessibleDescription('“wdth” is not there.');
    expect(screen.getByLabelText('Width, Lining')).toBeValid();
  });
});
