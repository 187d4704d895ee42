import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render, screen, within } from '@testing-library/react';
import type { Schemas } from '../../api/client';
import { keys } from '../../api/queries';
import { length, settings } from '../../ui/fixtures.test.helper';
import { Lengths } from './Lengths';

const MILLIMETRE = 1_000_000;

const amount = (inch: string): Schemas['AmountView'] => ({
  length: length(inch, ''),
  text: inch,
  exact: inch,
  value: 1,
});

const piece = (letter: string, count: number, inch: string, nanometres: number): Schemas['CutLength'] => ({
  letter,
  name: letter === 'Z' ? 'zip' : 'tab',
  count,
  length: length(inch, ''),
  nanometres,
});

const trim = (more: Partial<Schemas['TrimLengths']> = {}): Schemas['TrimLengths'] => ({
  materialId: 7,
  name: 'Zip tape, navy',
  colour: '#223',
  needed: amount('2 yd'),
  free: amount('6 yd'),
  isLeast: true,
  rolls: [
    {
      title: 'Roll 3, tape box',
      length: 500 * MILLIMETRE,
      there: length('19 ⅝ in', '50 cm'),
      pieces: [piece('Z', 2, '9 in', 228.6 * MILLIMETRE)],
      rest: length('1 ⅝ in', '4.2 cm'),
      isKept: false,
    },
    {
      title: 'Roll 9',
      length: 5000 * MILLIMETRE,
      there: length('5 yd', '5 m'),
      pieces: [piece('Z', 4, '9 in', 228.6 * MILLIMETRE), piece('T', 1, '2 in', 50.8 * MILLIMETRE)],
      rest: length('4 yd', '4 m'),
      isKept: true,
    },
  ],
  ...more,
});

function shown(trims: Schemas['TrimLengths'][]) {
  const client = new QueryClient();
  client.setQueryData(keys.settings, { ...settings, unitSystem: 'INCH' });
  render(
    <QueryClientProvider client={client}>
      <Lengths trims={trims} />
    </QueryClientProvider>,
  );
}

test('each roll says what is cut from it and what becomes of its rest', () => {
  shown([trim({ lost: length('1 ⅝ in', '4.2 cm'), trimmed: length('¼ in', '6 mm') })]);
  const [left, roll] = screen.getAllByRole('listitem');
  expect(left).toHaveTextContent('2 × 9 in → Z');
  expect(left).toHaveTextContent('1 ⅝ in are left, too short to keep');
  expect(roll).toHaveTextContent('4 × 9 in → Z zip (), 1 × 2 in → T');
  expect(roll).toHaveTextContent('4 yd stay on the shelf');
  expect(
    screen.getByText(
      '¼ in are trimmed off each end first; 1 ⅝ in are lost in rests that are too short to keep; nothing less is possible.',
    ),
  ).toBeVisible();
});

test('pieces are drawn to scale, and a long rest is cut short', () => {
  shown([trim()]);
  const [left, roll] = screen.getAllByRole('listitem');
  const widths = (item?: HTMLElement) =>
    Array.from(item?.querySelectorAll('rect') ?? []).map((one) => Number(one.getAttribute('width')));
  const [first = 0] = widths(left);
  expect(first).toBeCloseTo((720 * 228.6) / 500, 5);
  expect(widths(roll)).toHaveLength(5);
  expect(widths(roll).reduce((sum, wide) => sum + wide, 0)).toBeCloseTo(720 / 1.2, 5);
});

test('what has to be bought is said, with what it is cut into', () => {
  shown([
    trim({
      shortBy: amount('1 yd'),
      isLeast: false,
      rolls: [
        {
          title: 'From a roll that is still to be bought',
          length: 914.4 * MILLIMETRE,
          pieces: [piece('Z', 4, '9 in', 228.6 * MILLIMETRE)],
          isKept: false,
        },
      ],
    }),
  ]);
  const section = screen.getByRole('region', { name: 'Zip tape, navy' });
  expect(within(section).getByText('1 yd of it have to be bought in one piece.')).toBeVisible();
  expect(within(section).queryByText(/nothing less/)).not.toBeInTheDocument();
  expect(within(section).queryByText(/stay on the shelf/)).not.toBeInTheDocument();
});
