import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { length } from '../../ui/fixtures.test.helper';
import { rendered } from '../../ui/rendered.test.helper';
import { CutSteps } from './CutSteps';
import { Mat } from './Mat';
import { partsWords, partWords, stepTitle } from './words';

const INCH = 25_400_000;

const part = (times: number, size: string, letter: string, parts: Schemas['StripPart'][] = []) => ({
  times,
  size: length(size, ''),
  letter,
  left: false,
  parts,
});

const strip = (more: Partial<Schemas['StepView']> = {}): Schemas['StepView'] => ({
  key: '0:STRIP:0:0',
  kind: 'STRIP',
  across: true,
  size: length('9 ½ in', '24.1 cm'),
  times: 1,
  layers: 1,
  from: 0,
  to: 9 * INCH,
  parts: [part(5, '8 in', 'A'), part(1, '3 in', '', [part(2, '4 in', 'C')])],
  gives: '5 of A, 2 of C',
  again: false,
  done: false,
  ...more,
});

const mat = (steps: Schemas['StepView'][]): Schemas['MatView'] => ({
  title: 'From the roll',
  cloth: 0,
  wide: length('43 in', '109.2 cm'),
  used: length('19 in', '48.3 cm'),
  width: 43 * INCH,
  length: 19 * INCH,
  pieces: [
    {
      letter: 'A',
      number: 1,
      line: 0,
      bag: 1,
      x: 0,
      y: 0,
      width: 8 * INCH,
      height: 9 * INCH,
      turned: true,
      step: 'x',
    },
  ],
  rests: [],
  steps,
});

const own = (one: Schemas['LengthView']) => one.inch;

describe('the cuts in order', () => {
  it('are said as at the table', () => {
    expect(stepTitle(strip(), own)).toBe('Strip of 9 ½ in');
    expect(stepTitle(strip({ times: 3 }), own)).toBe('Three strips of 9 ½ in');
    expect(stepTitle(strip({ times: 14, across: false }), own)).toBe('14 lengthwise strips of 9 ½ in');
    expect(stepTitle(strip({ kind: 'SQUARE' }), own)).toBe('Square the end');
    expect(stepTitle(strip({ again: true }), own)).toBe('Once more: 9 ½ in');
    const [first] = strip().parts as [Schemas['StripPart']];
    const rest = { ...first, left: true, times: 1, letter: '', parts: [] };
    const piece = { ...first, left: false, times: 1, letter: 'A', parts: [] };
    expect(partsWords([rest, piece, rest, piece, rest], own)).toEqual([
      `leave ${own(rest.size)}`,
      `${own(piece.size)} → A`,
      `leave ${own(rest.size)}`,
      `${own(piece.size)} → A`,
    ]);
    expect(strip().parts.map((one) => partWords(one, own))).toEqual([
      '5 × 8 in → A',
      '3 in, then 2 × 4 in → C',
    ]);
  });

  it('are ticked one by one, and looked at on the mat', async () => {
    const tick = vi.fn();
    const look = vi.fn();
    const second = strip({ key: '0:STRIP:0:9', layers: 4, times: 8 });
    rendered(
      <CutSteps
        mats={[mat([strip({ done: true }), second])]}
        now={second.key}
        canTick
        onTick={tick}
        onLook={look}
      />,
    );
    expect(screen.getByText(/4 strips on one another/)).toBeInTheDocument();
    expect(screen.getByRole('checkbox', { name: /^Strip/ })).toBeChecked();
    await userEvent.click(screen.getByRole('checkbox', { name: /^Eight strips/ }));
    expect(tick).toHaveBeenCalledWith(second, true);
    await userEvent.click(screen.getByRole('button', { name: /Show on the mat: Eight strips/ }));
    expect(look).toHaveBeenCalledWith(second);
  });

  it('can’t be ticked any more when the batch is cut', () => {
    rendered(<CutSteps mats={[mat([strip()])]} canTick={false} onTick={() => {}} onLook={() => {}} />);
    expect(screen.getByRole('checkbox')).toBeDisabled();
  });
});

describe('the mat', () => {
  it('says what lies on it, and which bag each piece is for', () => {
    rendered(<Mat mat={mat([strip()])} kinds={[]} directional={false} step={strip()} zoomed={false} />);
    expect(screen.getByRole('img', { name: /From the roll: 1 pieces/ })).toBeInTheDocument();
    expect(screen.getByText('A 1, bag 1, turned')).toBeInTheDocument();
  });
});
