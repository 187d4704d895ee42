import type { Entry, WorkView } from './kept';
import type { Part, Turn } from './progress';

const time = (seconds: number) => ({ text: `${seconds / 60} min`, seconds });

export const part = (line: number, done: number, started = 3): Part => ({
  line,
  designId: 1,
  step: 'zip',
  what: `Heron pouch, line ${line}`,
  cloth: 'Reed Stripe',
  colour: '#6f8fa8',
  started,
  all: started,
  done,
  before: [],
  prompts: [],
  takes: [],
  each: time(240),
});

export const turn = (name: string, ...parts: Part[]): Turn => ({
  key: `${name}|${parts.map((one) => one.line).join(',')}`,
  name,
  stage: 'SEW',
  station: 'MACHINE',
  place: '1',
  at: 'Bramble',
  changes: [],
  setUp: { FOOT: 'zip foot' },
  parts: parts.map((one) => ({ ...one, step: name })),
  once: time(0),
  passive: time(0),
  bags: 0,
  pieces: [],
  lies: [],
  check: '',
  caution: '',
  note: '',
  upkeep: [],
  notes: [],
});

export const workView = (...turns: Turn[]): WorkView => ({
  batchId: 7,
  name: 'Heron pouch small',
  forWhat: '',
  open: true,
  left: time(3600),
  turns,
  done: [],
  slips: [],
  oneFirst: false,
  firstIsSewn: false,
  notes: [],
  cautions: [],
  materials: [],
  reasons: ['puckered', 'hole at the corner'],
  refused: [],
});

export const counted = (step: string, line: number, bags: number): Entry => ({
  id: crypto.randomUUID(),
  batchId: 7,
  line,
  step,
  stepName: step,
  kind: 'WORKED',
  bags,
  millis: 1000,
  slow: false,
  at: '2026-05-04T10:00:00Z',
  place: '1',
  reason: '',
});
