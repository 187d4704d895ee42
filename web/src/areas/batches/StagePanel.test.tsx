import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { length } from '../../ui/fixtures.test.helper';
import { rendered } from '../../ui/rendered.test.helper';
import { server } from '../designs/editing.test.helper';
import { OffcutOffers } from './OffcutOffers';
import { StagePanel } from './StagePanel';

afterEach(() => vi.unstubAllGlobals());

const left = (width: string): Schemas['LeftLine'] => ({
  materialId: 7,
  name: 'Juniper Dot',
  width: length(width, width),
  height: length('6 in', '15.2 cm'),
  count: 2,
});

const sheet = {
  units: 4,
  needs: [],
  leftOver: [left('7 1/2 in'), left('20 in')],
} as unknown as Schemas['BatchSheet'];
const batch = { id: 9, version: 2 } as Schemas['BatchView'];

describe('cutting', () => {
  it('keeps the offcuts that are ticked, in the sizes that were set right', async () => {
    const sent = server({ '/api/batches/9/cut': {} });
    rendered(<StagePanel kind="cut" batch={batch} sheet={sheet} onClose={() => {}} />);
    const across = screen.getByLabelText('Across, offcut 1');
    await userEvent.clear(across);
    await userEvent.type(across, '7 in');
    await userEvent.click(screen.getByRole('checkbox', { name: 'Keep 2 of Juniper Dot, 20 in by 6 in' }));
    await userEvent.click(screen.getByRole('button', { name: 'It is cut' }));
    expect(sent[0]?.body).toMatchObject({
      version: 2,
      keep: [{ materialId: 7, width: '7 in', height: '6 in', count: '2' }],
    });
  });

  it('keeps nothing when bags are finished', async () => {
    const sent = server({ '/api/batches/9/finish': {} });
    rendered(<StagePanel kind="finish" batch={batch} sheet={sheet} onClose={() => {}} />);
    expect(screen.queryByText('Keep what is left?')).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'They are finished' }));
    expect(sent[0]?.body).not.toHaveProperty('keep');
  });
});

describe('offcuts before the bolt', () => {
  it('say what they give, and are chosen one by one', async () => {
    const choose = vi.fn();
    rendered(
      <OffcutOffers
        offers={[
          {
            lotId: 3,
            materialId: 7,
            name: 'Juniper Dot',
            colour: '',
            width: length('22 in', '55.9 cm'),
            height: length('18 in', '45.7 cm'),
            size: { width: 22, height: 18 },
            count: 3,
            chosen: false,
            gives: '18 of A',
            saves: { text: '19 in', exact: '19 in', value: 19, length: length('19 in', '48.3 cm') },
          },
        ]}
        chosen={[]}
        onChoose={choose}
      />,
    );
    expect(screen.getByText(/gives 18 of A; as much as 19 in of the roll/)).toBeVisible();
    await userEvent.click(screen.getByRole('checkbox'));
    expect(choose).toHaveBeenCalledWith(3, true);
  });
});
