import { vi } from 'vitest';
import type { Schemas } from '../api/client';

/** Small made-up values for tests of the interface. */
export const working = (result: string): Schemas['WorkingView'] => ({
  rule: 'As entered.',
  expression: result,
  calculation: result,
  result,
  inputs: [],
  schools: [],
});

export const length = (inch: string, metric: string): Schemas['LengthView'] => ({
  exact: inch,
  inch,
  metric,
});

export const lengthFigure = (inch: string, metric: string): Schemas['LengthFigure'] => ({
  value: length(inch, metric),
  working: working(inch),
});

export const money = (minor: number): Schemas['MoneyView'] => ({ amount: (minor / 100).toFixed(2), minor });

export const moneyFigure = (minor: number): Schemas['MoneyFigure'] => ({
  value: money(minor),
  working: working(money(minor).amount),
});

/** A rectangle to scale. */
export const drawing = (
  width: number,
  height: number,
  more: Partial<Schemas['DrawingView']> = {},
): Schemas['DrawingView'] => ({
  width,
  height,
  outline: `M0 0H${width}V${height}H0Z`,
  corners: '',
  seams: '',
  trimmed: '',
  marks: [],
  handles: [],
  ...more,
});

export const amount = (text: string, value = 100, inches?: Schemas['LengthView']): Schemas['AmountView'] => ({
  text,
  exact: text,
  value,
  length: inches,
});

/** A design without anything in it. */
export const design = (more: Partial<Schemas['DesignDocument']> = {}): Schemas['DesignDocument'] => ({
  name: 'Heron',
  sort: '',
  note: '',
  sizes: ['small', 'medium'],
  usualUnits: 12,
  measurements: [],
  form: {
    kind: 'FREE',
    outer: '',
    lining: '',
    other: '',
    school: 'CUT_BEFORE_SEWING',
    base: 'SEAM',
    measures: {},
  },
  pieces: [],
  panels: [],
  trims: [],
  notions: [],
  fillings: [],
  zips: [],
  straps: [],
  casings: [],
  steps: [],
  slots: [],
  source: { licence: 'OWN', designer: '', most: 0, credit: '', conditions: [] },
  forChildren: false,
  setAside: [],
  ...more,
});

/** A size in which nothing was worked out or found yet. */
export const sizeSheet = (size: string, more: Partial<Schemas['SizeSheet']> = {}): Schemas['SizeSheet'] => ({
  size,
  measurements: [],
  workedOut: [],
  pieces: [],
  panels: [],
  trims: [],
  notions: [],
  fillings: [],
  findings: [],
  alternatives: [],
  ...more,
});

export const piece = (letter: string, more: Partial<Schemas['PieceView']> = {}): Schemas['PieceView'] => ({
  letter,
  name: `Piece ${letter}`,
  role: 'OUTER',
  slot: 'outer',
  count: 2,
  width: lengthFigure('10 ½ in', '≈ 26.7 cm'),
  height: lengthFigure('8 in', '≈ 20.4 cm'),
  directional: false,
  fold: 'NONE',
  edges: {},
  notes: [],
  drawing: drawing(266.7, 203.2),
  ...more,
});

export const ticket = (more: Partial<Schemas['TicketView']> = {}): Schemas['TicketView'] => ({
  units: 12,
  good: 12,
  handsOn: { text: '27 min', seconds: 1620 },
  batchTime: { value: { text: '5 h 24', seconds: 19440 }, working: working('5 h 24') },
  material: moneyFigure(333),
  lines: [],
  labour: moneyFigure(866),
  overhead: moneyFigure(73),
  cost: moneyFigure(1272),
  suggested: moneyFigure(1600),
  price: money(1600),
  ownPrice: false,
  fees: moneyFigure(68),
  left: moneyFigure(260),
  perHour: moneyFigure(2472),
  wanted: money(1900),
  oneRate: money(1900),
  ...more,
});

export const settings = (unitSystem: 'INCH' | 'METRIC'): Schemas['SettingsForm'] => ({
  version: 1,
  unitSystem,
  inchStep: 'EIGHTH',
  currency: 'EUR',
  hourlyRate: '19.00',
  overheadPerHour: '1.60',
  overheadShare: '0',
  usualSeam: '¼ in',
  thickestSeam: '6 mm',
  freeHours: ['2', '2', '2', '2', '2', '0', '0'],
});

/** A server that answers by the beginning of the path, and notes what was sent. */
export function server(answers: Record<string, unknown>) {
  const sent: { path: string; body: unknown }[] = [];
  vi.stubGlobal(
    'fetch',
    vi.fn(async (path: string, options: RequestInit) => {
      sent.push({ path, body: options.body ? JSON.parse(options.body as string) : undefined });
      const found = Object.keys(answers)
        .sort((one, other) => other.length - one.length)
        .find((start) => path.startsWith(start));
      const answer = found === undefined ? undefined : answers[found];
      return answer === undefined
        ? new Response(null, { status: 204 })
        : new Response(JSON.stringify(answer), { headers: { 'Content-Type': 'application/json' } });
    }),
  );
  return sent;
}
