import type { Schemas } from '../../api/client';
import type { Cell, Chart, Question, Row } from './table';

export const cell = (text: string, size?: number): Cell => ({ text, exact: text, size });

export const row = (marked: boolean, ...cells: Cell[]): Row => ({ cells, marked });

/** A chart of columns of figures, the first of which holds words. */
export const chart = (key: Question, question: string, columns: string[], rows: Row[], more = {}): Chart => ({
  key,
  question,
  answer: `The answer to ${key}.`,
  note: '',
  table: { columns: columns.map((name, i) => ({ name, unit: '', figure: i > 0 })), rows },
  ...more,
});

const EARNS = ['design', 'bags', 'paid', 'left', 'of known time', 'making these', 'an hour'];

const earns = (key: Question, what: string, name: string): Chart =>
  chart(
    key,
    `What earns most, by ${what}?`,
    [what, ...EARNS.slice(1)],
    [
      row(
        true,
        cell(name),
        cell('12', 12),
        cell('180.00', 18_000),
        cell('4.00', 400),
        cell('12', 12),
        cell('6 h', 21_600),
        cell('9.40', 940),
      ),
    ],
    { against: cell('15.00', 1500) },
  );

/** Twelve months in which little happened. */
export const year = (): Schemas['YearView'] => ({
  first: '2025-06-01',
  last: '2026-05-31',
  words: 'Jun 2025 to May 2026',
  sold: 12,
  firstSale: '2024-10-03',
  charts: [
    earns('EARNS_BY_DESIGN', 'design', 'Tern tote'),
    earns('EARNS_BY_SIZE', 'size', 'Tern tote, large'),
    earns('EARNS_BY_CLOTH', 'cloth', 'Reed Stripe'),
    earns('EARNS_BY_CHANNEL', 'channel', 'Craft stall'),
    chart(
      'MONTHS',
      'When does money come in?',
      ['month', 'paid', 'bags', 'paid a year before', 'bags a year before'],
      [row(false, cell('Jun 2025'), cell('180.00', 18_000), cell('12', 12), cell('0.00', 0), cell('0', 0))],
    ),
    chart(
      'FLOW',
      'Where did the money go?',
      ['to', 'amount', 'of what was paid'],
      [
        row(false, cell('material'), cell('150.00', 15_000), cell('83 %', 83)),
        row(false, cell('your work'), cell('90.00', 9_000), cell('50 %', 50)),
        row(true, cell('left'), cell('−60.00', -6_000), cell('−33 %', -33)),
      ],
    ),
    chart(
      'FAIRS',
      'Which fairs were worth it?',
      ['fair', 'day', 'bags', 'paid', 'left', 'an hour there'],
      [],
    ),
    chart(
      'SHELF',
      'What is dying on the shelf?',
      ['bags', 'there', 'sold lately', 'weeks looked at', 'weeks it lasts', 'cost'],
      [
        row(
          true,
          cell('Old clutch'),
          cell('5', 5),
          cell('0', 0),
          cell('26', 26),
          cell(''),
          cell('9.00', 900),
        ),
        row(false, cell('Young fob'), cell('2', 2), cell('0', 0), cell('2', 2), cell(''), cell('2.00', 200)),
      ],
    ),
    chart('HOURS', 'Where did the hours go?', ['what', 'time', 'of all'], []),
    chart('TIMES', 'How true were the times?', ['batch', 'finished', 'planned', 'took', 'beyond'], []),
    chart('PRICES', 'How do prices go?', ['bag', 'month', 'bags', 'brought each'], []),
    chart(
      'SPOILED',
      'What is spoiled?',
      ['design', 'begun', 'came out well', 'seconds', 'scrap', 'not well'],
      [],
    ),
  ],
});

const BOOKS = ['month', 'sales', 'paid by buyers', 'purchases'];

export const books = (): Schemas['BooksView'] => ({
  first: '2026-01-01',
  last: '2026-12-31',
  words: 'Jan 2026 to Dec 2026',
  table: {
    columns: BOOKS.map((name, i) => ({ name, unit: '', figure: i > 0 })),
    rows: [
      {
        marked: false,
        cells: [{ text: 'Jan 2026', exact: '2026-01' }, cell('3', 3), cell('45.00', 4500), cell('0.00', 0)],
      },
      row(true, cell('together'), cell('3', 3), cell('45.00', 4500), cell('0.00', 0)),
    ],
  },
  stock: {
    columns: [{ name: 'what lay there', unit: '', figure: false }],
    rows: [row(false, cell('cloth'))],
  },
  notes: ['This adds up what was entered.'],
});
