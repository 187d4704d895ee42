import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { design, drawing, lengthFigure } from '../../ui/fixtures.test.helper';
import { editor, server } from './editing.test.helper';
import { FormTab } from './FormTab';
import { TrimTab } from './TrimTab';

const forms: Schemas['FormView'][] = [
  { kind: 'FREE', words: 'anything else', other: '', measures: [{ key: 'width', label: 'width' }] },
  {
    kind: 'GUSSETED',
    words: 'two faces and a gusset',
    other: 'gusset',
    measures: [
      { key: 'sideSeam', label: 'side seam' },
      { key: 'radius', label: 'radius of the corners' },
    ],
  },
];

const named = (letter: string, name: string) => ({ letter, name }) as never;

beforeEach(() => void server({ '/api/design-forms': forms }));
afterEach(() => vi.unstubAllGlobals());

describe('how a bag comes together', () => {
  it('asks for just what its form is sewn with', async () => {
    const { current } = editor(<FormTab />, design({ pieces: [named('A', 'Face'), named('G', 'Strip')] }));
    await userEvent.selectOptions(await screen.findByLabelText('Form'), 'two faces and a gusset');
    expect(screen.queryByLabelText('Width')).toBeNull();
    await userEvent.type(screen.getByLabelText('Radius of the corners'), '4 cm');
    await userEvent.selectOptions(screen.getByLabelText('The gusset'), 'G · Strip');
    expect(current.document.form).toMatchObject({
      kind: 'GUSSETED',
      other: 'G',
      measures: { radius: '4 cm' },
    });
  });

  it('puts panels together from parts and zips, and shows what they come to', async () => {
    const panel: Schemas['PanelRow'] = {
      letter: 'P',
      name: 'Front',
      direction: 'DOWN',
      parts: [{ letter: 'A', shows: '', tuck: '', hang: 'FLAT', slant: '' }],
      join: 'seam',
      marks: [],
    };
    const { current } = editor(
      <FormTab />,
      design({
        pieces: [named('A', 'Yoke'), named('B', 'Body')],
        trims: [named('Z', 'Zip')],
        panels: [panel],
      }),
      {
        panels: [
          {
            letter: 'P',
            name: 'Front',
            width: lengthFigure('10 in', '25.4 cm'),
            height: lengthFigure('8 in', '≈ 20.4 cm'),
            drawing: drawing(254, 203.2),
            zips: [{ x: 0, y: 50, width: 254, height: 10 }],
          },
        ],
      },
    );
    expect(screen.getByRole('img', { name: 'Front to scale' })).toBeVisible();
    expect(screen.getByText('25.4 × ≈ 20.4 cm')).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Add a part' }));
    await userEvent.selectOptions(screen.getByLabelText('Part 2'), 'Z · Zip');
    expect(current.document.panels[0]?.parts).toEqual([
      { letter: 'A', shows: '', tuck: '', hang: 'FLAT', slant: '' },
      { letter: 'Z', shows: '1 cm', tuck: '', hang: 'FLAT', slant: '' },
    ]);
    expect(screen.queryByLabelText('Part 2 is gathered')).toBeNull();
    expect(screen.queryByLabelText('Seam after part 1 slants by')).toBeNull();
    await userEvent.selectOptions(screen.getByLabelText('Part 2'), 'B · Body');
    await userEvent.click(screen.getByLabelText('Part 1 is gathered'));
    await userEvent.type(screen.getByLabelText('Seam after part 1 slants by'), '3 cm');
    expect(current.document.panels[0]?.parts[0]).toMatchObject({ hang: 'GATHERED', slant: '3 cm' });
    await userEvent.selectOptions(screen.getByLabelText('Part 1'), 'Z · Zip');
    expect(current.document.panels[0]?.parts[0]).toMatchObject({ hang: 'FLAT', slant: '' });
    await userEvent.click(screen.getByRole('button', { name: 'Remove part 1 of Front' }));
    expect(current.document.panels[0]?.parts).toHaveLength(1);
  });
});

describe('trims, notions and fillings', () => {
  const start = () =>
    design({
      slots: [
        { key: 'zip', label: 'Zip tape', kind: 'TRIM', cloths: [] },
        { key: 'snap', label: 'Snaps', kind: 'NOTION', cloths: [] },
        { key: 'beads', label: 'Beads', kind: 'FILLING_BY_WEIGHT', cloths: [] },
      ],
    });

  it('say how a zip sits in its seam, by its school', async () => {
    const { current } = editor(<TrimTab />, start());
    await userEvent.click(screen.getByRole('button', { name: 'Add a trim' }));
    await userEvent.selectOptions(screen.getByLabelText('Kind'), 'zip');
    await userEvent.click(screen.getByRole('button', { name: 'Say how it sits in its seam' }));
    expect(screen.getByLabelText('Clearance')).toBeVisible();
    await userEvent.selectOptions(screen.getByLabelText('Ends'), 'tabs to the edge');
    expect(screen.queryByLabelText('Clearance')).toBeNull();
    await userEvent.type(screen.getByLabelText('Folded tab'), '2 cm');
    expect(current.document.trims[0]).toMatchObject({ letter: 'A', kind: 'ZIP', slot: 'zip' });
    expect(current.document.zips[0]).toMatchObject({ zip: 'A', school: 'TABS_TO_EDGE', tab: '2 cm' });
  });

  it('count the halves of two-part notions', async () => {
    const { current } = editor(<TrimTab />, start());
    await userEvent.click(screen.getByRole('button', { name: 'Add a notion' }));
    await userEvent.selectOptions(screen.getByLabelText('Half'), 'stud');
    expect(current.document.notions[0]).toMatchObject({ slot: 'snap', half: 'STUD' });
  });

  it('fill in different amounts by size', async () => {
    const { current } = editor(<TrimTab />, start());
    await userEvent.click(screen.getByRole('button', { name: 'Add a filling' }));
    await userEvent.click(screen.getByLabelText('the same for all sizes'));
    await userEvent.clear(screen.getByLabelText('In medium'));
    await userEvent.type(screen.getByLabelText('In medium'), '250 g');
    expect(current.document.fillings[0]).toMatchObject({ slot: 'beads', amounts: ['100 g', '250 g'] });
  });

  it('keep what a strap and a casing have to fit', async () => {
    const { current } = editor(<TrimTab />, start());
    await userEvent.click(screen.getByRole('button', { name: 'Add a strap' }));
    await userEvent.type(screen.getByLabelText('Ring inside'), '1 in');
    await userEvent.click(screen.getByRole('button', { name: 'Add a casing' }));
    await userEvent.click(screen.getByLabelText('round cord'));
    expect(current.document.straps[0]?.ring).toBe('1 in');
    expect(current.document.casings[0]?.round).toBe(false);
    expect(screen.getByLabelText('Width of the ribbon')).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Remove strap 1' }));
    expect(current.document.straps).toEqual([]);
  });
});
