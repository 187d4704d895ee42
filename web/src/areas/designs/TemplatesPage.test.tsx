import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { server } from '../../ui/fixtures.test.helper';
import { rendered } from '../../ui/rendered.test.helper';
import { refusing } from './editing.test.helper';
import TemplatesPage, { query } from './TemplatesPage';

const view: Schemas['TemplatesView'] = {
  designId: 4,
  name: 'Owl pouch',
  sizes: ['small', 'large, for {ç}'],
  pieces: [
    { letter: 'A', name: 'Front', cloth: 'Outer cloth', plain: false },
    { letter: 'B', name: 'Tab', cloth: 'Outer cloth', plain: true },
  ],
  chosenSizes: ['small'],
  chosenPieces: ['A'],
  notShifted: [],
  paper: 'LETTER',
  templates: [
    {
      name: 'A Front',
      words: ['cut 1'],
      left: 8,
      top: 8,
      width: 90,
      height: 60,
      cut: 'M8 8L98 8',
      marked: '',
    },
  ],
  pages: {
    width: 106,
    height: 76,
    paperWidth: 215.9,
    paperHeight: 279.4,
    rows: 1,
    columns: 1,
    pages: [{ name: 'A1', left: 0, top: 0, right: 197.9, bottom: 261.4 }],
  },
  joins: [],
  choices: [],
};

const shown = (more: Partial<typeof view> = {}) => {
  const sent = server({ '/api/designs/4/templates': { ...view, ...more } });
  rendered(<TemplatesPage />, 'INCH', undefined, {
    path: '/designs/4/templates',
    route: '/designs/:id/templates',
  });
  return sent;
};

afterEach(() => vi.unstubAllGlobals());

describe('templates', () => {
  it('says which pieces can’t have one template for all sizes', async () => {
    shown({ chosenSizes: ['small', 'large, for {ç}'], notShifted: ['A'] });
    expect(await screen.findByText(/^A: no one line serves all sizes/)).toBeVisible();
  });

  it('shows what is on how many pages, and says what a ruler draws', async () => {
    shown();
    expect(await screen.findByText('One page')).toBeVisible();
    expect(screen.getByText(/a ruler will do/)).toBeVisible();
    expect(screen.getByRole('checkbox', { name: /Front/ })).toBeChecked();
    expect(screen.getByRole('checkbox', { name: /Tab/ })).not.toBeChecked();
    expect(screen.getByRole('link', { name: 'As PDF' })).toHaveAttribute(
      'href',
      '/api/designs/4/templates.pdf?paper=LETTER',
    );
  });

  it('asks for sizes by their place, and offers to lay them over one another', async () => {
    const sent = shown();
    await userEvent.click(await screen.findByRole('checkbox', { name: 'large, for {ç}' }));
    await userEvent.selectOptions(screen.getByLabelText('Several sizes of a piece'), 'over one another');
    expect(sent.at(-1)?.path).toBe('/api/designs/4/templates?sizes=0&sizes=1&paper=LETTER&drawn=NESTED');
  });

  it('offers one template for several sizes, and two pieces joined at their marks', async () => {
    const sent = shown({ joins: [{ one: 'A', other: 'B', marks: ['notch {ç}'] }] });
    await userEvent.click(await screen.findByRole('checkbox', { name: 'large, for {ç}' }));
    await userEvent.selectOptions(
      screen.getByLabelText('Several sizes of a piece'),
      'one template, moved by a noted amount',
    );
    expect(sent.at(-1)?.path).toContain('drawn=SHIFTED');
    await userEvent.selectOptions(
      screen.getByLabelText('Join two at their marks'),
      'A and B, at “notch {ç}”',
    );
    expect(sent.at(-1)?.path).toContain('&join=A&join=B');
    expect(screen.getByRole('checkbox', { name: /Front/ })).toBeDisabled();
    await userEvent.selectOptions(
      screen.getByLabelText('Join two at their marks'),
      'no, each piece by itself',
    );
    expect(screen.getByRole('link', { name: 'As PDF' }).getAttribute('href')).not.toContain('join=');
  });

  it('keeps at least one piece', async () => {
    const sent = shown();
    const front = await screen.findByRole('checkbox', { name: /Front/ });
    const before = sent.length;
    await userEvent.click(front);
    expect(front).toBeChecked();
    expect(sent).toHaveLength(before);
  });

  it('asks for cards to place marks by, of all pieces that have any', async () => {
    const sent = shown();
    await userEvent.click(await screen.findByRole('checkbox', { name: /Tab/ }));
    await userEvent.selectOptions(screen.getByLabelText('What is printed'), 'cards to place marks by');
    expect(sent.at(-1)?.path).toBe('/api/designs/4/templates?paper=LETTER&placing=true');
  });

  it('asks for the templates of another alternative, and prints the pattern sheet of it', async () => {
    const one = (key: string, name: string) => ({
      key,
      name,
      letters: [],
      slots: [],
      steps: [],
      measures: [],
    });
    const sent = shown({
      choices: [
        {
          key: 'closing',
          name: 'Closing',
          usual: 'snap',
          alternatives: [one('snap', 'snap'), one('flap', 'flap')],
        },
      ],
    });
    const closing = await screen.findByLabelText('Closing');
    expect(closing).toHaveDisplayValue('snap (usual)');
    await userEvent.selectOptions(closing, 'flap');
    expect(sent.at(-1)?.path).toBe('/api/designs/4/templates?paper=LETTER&picks=flap');
    expect(screen.getByRole('link', { name: 'Pattern sheet as PDF' })).toHaveAttribute(
      'href',
      '/api/designs/4/pattern-sheet.pdf?size=0&units=12&paper=LETTER&picks=flap',
    );
  });

  it('keeps what is chosen where it can’t be drawn, so that something else can be', async () => {
    shown();
    await screen.findByText('One page');
    refusing('On “Face” nothing is placed.');
    await userEvent.selectOptions(screen.getByLabelText('What is printed'), 'cards to place marks by');
    expect(await screen.findByText('On “Face” nothing is placed.')).toBeVisible();
    expect(screen.queryByRole('link', { name: 'As PDF' })).toBeNull();
    expect(screen.getByLabelText('What is printed')).toHaveDisplayValue('cards to place marks by');
  });

  it('waits for the width of a roll', async () => {
    const sent = shown();
    await userEvent.selectOptions(await screen.findByLabelText('Paper'), 'ROLL');
    const paper = screen.getByRole('region', { name: 'On paper' });
    expect(within(paper).queryByRole('link', { name: 'As PDF' })).toBeNull();
    await userEvent.type(screen.getByLabelText('Width of the roll'), '36 in');
    expect(await within(paper).findByRole('link', { name: 'As PDF' })).toBeVisible();
    await waitFor(() =>
      expect(sent.at(-1)?.path).toBe('/api/designs/4/templates?paper=ROLL&rollWidth=36+in'),
    );
  });
});

describe('what is asked for', () => {
  it('leaves out what nobody chose', () => {
    expect(query({ drawn: 'APART' }, '')).toBe('');
    expect(query({ pieces: ['A', 'B'], paper: 'A4', drawn: 'APART' }, '9 cm')).toBe(
      'pieces=A&pieces=B&paper=A4',
    );
  });
});

describe('the pattern sheet', () => {
  it('is for as many bags as are typed, in the size that is drawn', async () => {
    shown();
    const user = userEvent.setup();
    const sheet = within(await screen.findByRole('region', { name: 'Pattern sheet' }));
    const link = () => sheet.queryByRole('link', { name: 'Pattern sheet as PDF' });
    expect(link()).toHaveAttribute('href', '/api/designs/4/pattern-sheet.pdf?size=0&units=12&paper=LETTER');
    await user.clear(sheet.getByRole('textbox'));
    await user.type(sheet.getByRole('textbox'), '0');
    expect(link()).toBeNull();
    expect(sheet.getByText(/from 1 to 5000/)).toBeVisible();
    await user.type(sheet.getByRole('textbox'), '{Backspace}40');
    expect(link()).toHaveAttribute('href', expect.stringContaining('units=40'));
  });
});
