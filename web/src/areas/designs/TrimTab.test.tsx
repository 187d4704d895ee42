import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { design } from '../../ui/fixtures.test.helper';
import { editor, server } from './editing.test.helper';
import { TrimTab } from './TrimTab';

afterEach(() => vi.unstubAllGlobals());

const zip: Schemas['TrimNeed'] = {
  letter: 'Z',
  name: 'Zip',
  kind: 'ZIP',
  slot: 'zip',
  quantity: '1',
  length: '10 in',
  turnUnder: '',
  shortest: '',
  longest: '',
};

const fit: Schemas['ZipFit'] = {
  zip: 'Z',
  school: 'INSET',
  edge: '10 in',
  side: '',
  clearance: '',
  tab: '',
  over: '',
  covered: '',
  slider: '',
};

const strap: Schemas['Strap'] = {
  of: 'S',
  school: 'FOUR_FOLD',
  width: '1 in',
  seam: '',
  ring: '',
  shortest: '',
  longest: '',
  choice: '',
  schools: [],
};

const cloth: Schemas['Measurement'] = {
  symbol: 'cloth',
  label: 'Cloth',
  kind: 'CHOICE',
  values: ['thin'],
  options: ['thin', 'thick'],
};

describe('trims, straps and notions', () => {
  it('are copied with how they sit in their seam', async () => {
    const { current } = editor(<TrimTab />, design({ trims: [zip], zips: [fit] }));
    await userEvent.click(screen.getByRole('button', { name: 'Copy Zip' }));
    expect(current.document.trims.map((trim) => [trim.letter, trim.name])).toEqual([
      ['Z', 'Zip'],
      ['A', 'Zip, copy'],
    ]);
    expect(current.document.zips).toEqual([fit, { ...fit, zip: 'A' }]);
  });

  it('bring the material they ask for, where the design asked for none', async () => {
    const { current } = editor(<TrimTab />, design());
    await userEvent.click(screen.getByRole('button', { name: 'Add a notion' }));
    expect(current.document.notions[0]?.slot).toBe('notion');
    expect(current.document.slots).toMatchObject([{ key: 'notion', label: 'Notion', kind: 'NOTION' }]);
  });

  it('ask for one more material, weighed or measured', async () => {
    server({ '/api/materials': { items: [], total: 0 } });
    const filling = { name: 'Shells', slot: '', amounts: ['100 g'] };
    const { current } = editor(<TrimTab />, design({ fillings: [filling] }));
    await userEvent.selectOptions(screen.getByLabelText('Taken from'), 'another material …');
    await userEvent.keyboard('Nut shells');
    await userEvent.selectOptions(
      screen.getAllByLabelText('Kind').at(-1) as HTMLElement,
      'filling, by volume',
    );
    await userEvent.click(screen.getByRole('button', { name: 'Ask for it' }));
    expect(current.document.slots).toMatchObject([{ label: 'Nut shells', kind: 'FILLING_BY_VOLUME' }]);
    expect(current.document.fillings[0]?.slot).toBe('nutshells');
  });

  it('are gathered on elastic to what they are sewn to', async () => {
    const { current } = editor(<TrimTab />, design({ trims: [{ ...zip, letter: 'E', name: 'Elastic' }] }));
    await userEvent.click(screen.getByRole('button', { name: 'Add a gathered edge' }));
    await userEvent.selectOptions(screen.getByLabelText('On elastic'), 'E · Elastic');
    await userEvent.type(screen.getByLabelText('Caught at each end'), '1/2');
    expect(current.document.gathers).toEqual([{ of: '', elastic: 'E', onto: '', seam: '1/2' }]);
    await userEvent.click(screen.getByRole('button', { name: 'Remove gathered edge 1' }));
    expect(current.document.gathers).toEqual([]);
  });

  it('are made as a choice says, one way for each option', async () => {
    const { current } = editor(<TrimTab />, design({ straps: [strap], measurements: [cloth] }));
    await userEvent.selectOptions(screen.getByLabelText('Made'), 'by Cloth');
    expect(current.document.straps[0]).toMatchObject({
      choice: 'cloth',
      schools: ['FOUR_FOLD', 'FOUR_FOLD'],
    });
    await userEvent.selectOptions(screen.getByLabelText('thick'), 'one layer');
    expect(current.document.straps[0]?.schools).toEqual(['FOUR_FOLD', 'ONE_LAYER']);
    await userEvent.selectOptions(screen.getByLabelText('Made'), 'sewn as a tube');
    expect(current.document.straps[0]).toMatchObject({ school: 'TUBE', choice: '', schools: [] });
  });
});
