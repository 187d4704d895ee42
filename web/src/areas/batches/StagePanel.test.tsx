import { act, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { keys } from '../../api/queries';
import { amount, length } from '../../ui/fixtures.test.helper';
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

const batch = (...leftOver: Schemas['LeftLine'][]) =>
  ({
    id: 9,
    version: 2,
    cloths: [{ materialId: 7, name: 'Juniper Dot', colour: '#345', cut: false }],
    lines: [
      {
        number: 1,
        designName: 'Heron',
        sizeName: 'small',
        started: 4,
        good: 0,
        seconds: 0,
        scrap: 0,
        open: 4,
        secondsAtBench: 0,
      },
    ],
    sheet: {
      mark: 'now',
      units: 4,
      lines: [{ number: 1, clothName: 'Juniper Dot' }],
      needs: [
        {
          materialId: 7,
          part: 'WHOLE',
          name: 'Juniper Dot',
          kind: 'CLOTH',
          needed: amount('24 in', 24),
          onHand: amount('40 in', 40),
          leavesWhenCut: true,
          taken: false,
        },
      ],
      leftOver,
    },
  }) as unknown as Schemas['BatchView'];

const panel = (kind: 'cut' | 'finish', before?: Schemas['BatchView']) =>
  rendered(<StagePanel kind={kind} batchId={9} onClose={() => {}} />, 'INCH', (client) =>
    client.setQueryData([...keys.batches, 9], before),
  );

describe('cutting', () => {
  it('keeps the offcuts that are ticked, in the sizes that were set right', async () => {
    const sent = server({
      '/api/batches/9': batch(left('7 1/2 in'), left('20 in')),
      '/api/batches/9/cut': {},
    });
    panel('cut');
    const across = await screen.findByLabelText('Across, offcut 1');
    await userEvent.clear(across);
    await userEvent.type(across, '7 in');
    await userEvent.click(screen.getByRole('checkbox', { name: 'Keep 2 of Juniper Dot, 20 in by 6 in' }));
    await userEvent.click(screen.getByRole('button', { name: 'It is cut' }));
    expect(sent.find((one) => one.path.endsWith('/cut'))?.body).toMatchObject({
      version: 2,
      mark: 'now',
      cloths: [7],
      keep: [{ materialId: 7, width: '7 in', height: '6 in', count: '2' }],
    });
  });

  it('books one cloth today and leaves the other, with its offcuts, for tomorrow', async () => {
    const two = batch(left('7 1/2 in'), { ...left('9 in'), materialId: 8, name: 'Oat cotton' });
    two.cloths = [...two.cloths, { materialId: 8, name: 'Oat cotton', colour: '#eee', cut: false }];
    const sent = server({ '/api/batches/9': two, '/api/batches/9/cut': {} });
    panel('cut');
    await userEvent.click(await screen.findByRole('checkbox', { name: 'Oat cotton' }));
    expect(screen.queryByLabelText('Across, offcut 2')).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'It is cut' }));
    expect(sent.find((one) => one.path.endsWith('/cut'))?.body).toMatchObject({
      cloths: [7],
      keep: [{ materialId: 7 }],
    });
  });

  it('goes by the plan as it is now, not by what this tab read before', async () => {
    server({ '/api/batches/9': batch(left('14 in')) });
    panel('cut', batch(left('35 in'), left('5 in')));
    expect(screen.queryByLabelText('Across, offcut 1')).toBeNull();
    expect(await screen.findByLabelText('Across, offcut 1')).toHaveValue('14 in');
    expect(screen.queryByLabelText('Across, offcut 2')).toBeNull();
  });

  it('follows a plan that changes under it and keeps what was typed where it still stands', async () => {
    const answers: Record<string, unknown> = { '/api/batches/9': batch(left('14 in'), left('5 in')) };
    server(answers);
    const { client } = panel('cut');
    const second = await screen.findByLabelText('Across, offcut 2');
    await userEvent.type(second, '{Backspace}{Backspace}{Backspace}{Backspace}4 in');
    answers['/api/batches/9'] = batch(left('20 in'), left('5 in'));
    await act(() => client.invalidateQueries());
    expect(await screen.findByDisplayValue('20 in')).toBe(screen.getByLabelText('Across, offcut 1'));
    expect(screen.getByLabelText('Across, offcut 2')).toHaveValue('4 in');
  });

  it('keeps nothing when bags are finished', async () => {
    const sent = server({ '/api/batches/9': batch(left('7 1/2 in')), '/api/batches/9/finish': {} });
    panel('finish');
    await userEvent.click(await screen.findByRole('button', { name: 'They are finished' }));
    expect(screen.queryByText('Keep what is left?')).toBeNull();
    const body = sent.find((one) => one.path.endsWith('/finish'))?.body;
    expect(body).not.toHaveProperty('keep');
    expect(body).toMatchObject({ lines: [{ number: 1, good: '4', seconds: '', scrap: '' }] });
  });

  it('knows which were said at the bench to become seconds', async () => {
    const its = batch();
    its.lines.forEach((line) => (line.secondsAtBench = 1));
    const sent = server({ '/api/batches/9': its, '/api/batches/9/finish': {} });
    panel('finish');
    expect(await screen.findByLabelText('Seconds')).toHaveValue('1');
    await userEvent.click(screen.getByRole('button', { name: 'They are finished' }));
    expect(sent.find((one) => one.path.endsWith('/finish'))?.body).toMatchObject({
      lines: [{ number: 1, good: '3', seconds: '1', scrap: '' }],
    });
  });

  it('finishes some today and says how many stay to be made', async () => {
    const sent = server({ '/api/batches/9': batch(), '/api/batches/9/finish': {} });
    panel('finish');
    const well = await screen.findByLabelText('Well');
    await userEvent.type(well, '{Backspace}2');
    await userEvent.type(screen.getByLabelText('Spoiled'), '1');
    expect(screen.getByText(/1 stay to be made/)).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'They are finished' }));
    expect(sent.find((one) => one.path.endsWith('/finish'))?.body).toMatchObject({
      lines: [{ number: 1, good: '2', scrap: '1' }],
    });
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
