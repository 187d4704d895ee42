import { screen, within } from '@testing-library/react';
import type { Schemas } from '../../api/client';
import { amount, length, piece, working } from '../../ui/fixtures.test.helper';
import { rendered } from '../../ui/rendered.test.helper';
import { BatchSheet } from './BatchSheet';

const time = (text: string, seconds: number) => ({ text, seconds });
const cloth = (value: number) => amount(`${value} in`, value, length(`${value} in`, `${value} cm`));

const sheet: Schemas['BatchSheet'] = {
  mark: 'a',
  units: 24,
  lines: [
    {
      number: 1,
      designName: 'Heron',
      sizeName: 'medium',
      units: 24,
      clothName: 'Reed Stripe',
      colour: '#678',
    },
  ],
  cutList: [
    {
      label: 'A',
      name: 'Outer',
      piece: piece('A', { directional: true }),
      count: 48,
      lines: [1],
      from: 'Reed Stripe',
    },
  ],
  trims: [],
  needs: [
    {
      materialId: 1,
      slot: 'outer',
      part: 'WHOLE',
      name: 'Reed Stripe',
      kind: 'CLOTH',
      needed: cloth(96),
      onHand: cloth(72),
      held: cloth(0),
      heldForOthers: cloth(30),
      shortBy: cloth(24),
      leavesWhenCut: true,
      taken: false,
      shares: [],
      working: working('96 in'),
    },
    {
      materialId: 2,
      slot: 'slider',
      part: 'WHOLE',
      name: 'Slider',
      kind: 'NOTION',
      needed: amount('24', 24),
      onHand: amount('40', 40),
      held: amount('24', 24),
      heldForOthers: amount('0', 0),
      leavesWhenCut: true,
      taken: false,
      shares: [],
      working: working('24'),
    },
  ],
  offcuts: [],
  cutBefore: [],
  leftOver: [],
  parts: [],
  times: {
    oneByOne: { value: time('28 h 54', 104040), working: working('28 h 54') },
    asBatch: { value: time('10 h 07', 36420), working: working('10 h 07') },
    saved: time('18 h 47', 67620),
    sewing: time('9 h 18', 33480),
    settingUp: time('49 min', 2940),
    passive: time('5 min', 300),
  },
  steps: [
    {
      name: 'Cut',
      lines: [1],
      units: 24,
      stage: 'CUT',
      station: 'CUTTING_TABLE',
      changes: [],
      time: time('1 h 27', 5220),
      check: '',
      caution: 'Blade closed.',
      note: '',
    },
    {
      name: 'Sew zips',
      lines: [1],
      units: 24,
      stage: 'SEW',
      station: 'MACHINE',
      changes: ['zip foot'],
      time: time('1 h 40', 6000),
      check: 'Slider face down.',
      caution: '',
      note: 'tape first',
    },
  ],
  cautions: [
    { stage: 'CUT', title: 'Blade', text: 'Close it.' },
    { stage: 'SEW', title: 'Needle', text: 'By hand.' },
  ],
  findings: [],
};

const region = (name: string) => within(screen.getByRole('region', { name }));

describe('the plan of a batch', () => {
  it('says what others hold, what is held here, and offers something else where it is short', () => {
    rendered(
      <BatchSheet
        sheet={sheet}
        stage="PLANNED"
        reserving={<button>Hold it</button>}
        replacing={(need) => <span>instead of {need.slot}</span>}
      />,
    );
    const material = region('Material');
    expect(material.getByText('30 in of 72 in are held for other batches')).toBeVisible();
    expect(material.getByText('held')).toBeVisible();
    expect(material.getByText('instead of outer')).toBeVisible();
    expect(material.queryByText('instead of slider')).toBeNull();
    expect(material.getByRole('button', { name: 'Hold it' })).toBeVisible();
  });

  it('lists what to cut in both units, how many and from what', () => {
    rendered(<BatchSheet sheet={sheet} stage="PLANNED" />);
    const row = region('Cut list').getByRole('row', { name: /Piece A/ });
    expect(row).toHaveTextContent('10 ½ in × 8 in');
    expect(row).toHaveTextContent('≈ 26.7 × ≈ 20.4 cm');
    expect(row).toHaveTextContent('48');
    expect(row).toHaveTextContent('Reed Stripe, top up');
  });

  it('says in which size a piece is cut whose cloth shrinks afterwards', () => {
    const cutAs = { wide: length('11 ⅛ in', '28.3 cm'), high: length('8 ½ in', '21.6 cm') };
    const cutList = sheet.cutList.map((line) => ({ ...line, cutAs }));
    rendered(<BatchSheet sheet={{ ...sheet, cutList }} stage="PLANNED" />);
    expect(region('Cut list').getByText(/shrinks afterwards: cut 11 ⅛ × 8 ½ in/)).toBeVisible();
  });

  it('says in words what is short and what is enough', () => {
    rendered(<BatchSheet sheet={sheet} stage="PLANNED" />);
    expect(region('Material').getByText('24 in short')).toBeVisible();
    expect(region('Material').getByText('held')).toBeVisible();
  });

  it('shows the hours both ways and what is saved', () => {
    rendered(<BatchSheet sheet={sheet} />);
    expect(region('Hours').getByText('28 h 54')).toBeVisible();
    expect(region('Hours').getByText('10 h 07')).toBeVisible();
    expect(region('Hours').getByText(/18 h 47 saved/)).toBeVisible();
  });

  it('shows blades before cutting and needles after', () => {
    const before = rendered(<BatchSheet sheet={sheet} stage="PLANNED" />);
    expect(screen.getByText('Blade')).toBeVisible();
    expect(screen.queryByText('Needle')).toBeNull();
    before.unmount();
    rendered(<BatchSheet sheet={sheet} stage="CUT" />);
    expect(screen.getByText('Needle')).toBeVisible();
    expect(screen.queryByText('Blade')).toBeNull();
  });

  it('puts the steps to come first once the cloth is cut, and what was taken is no longer short', () => {
    const needs = sheet.needs.map((need) => ({ ...need, taken: need.kind === 'CLOTH' }));
    rendered(<BatchSheet sheet={{ ...sheet, needs }} stage="CUT" />);
    const steps = region('Steps to come');
    expect(steps.getByText('zip foot')).toBeVisible();
    expect(steps.queryByText('Cut')).toBeNull();
    expect(region('Material').getByText('taken')).toBeVisible();
    expect(region('Material').queryByText('24 in short')).toBeNull();
  });
});
