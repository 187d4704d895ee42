import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { keys } from '../../api/queries';
import { design, settings } from '../../ui/fixtures.test.helper';
import { useEditing } from './editing';
import { editor, step } from './editing.test.helper';
import { NOTHING, StepSetUp, setUpWords } from './StepSetUp';

const STEP = step('zip', 'Sew the zip');

const machine = (id: number, name: string) => ({
  id,
  name,
  kind: 'MACHINE',
  zigzag: true,
  walkingFoot: false,
  freeArm: false,
  thickest: '',
});

function First() {
  const { document, change } = useEditing();
  const step = document.steps[0] ?? STEP;
  return <StepSetUp step={step} index={0} onChange={(next) => change({ steps: [{ ...step, ...next }] })} />;
}

describe('the set-up of a step', () => {
  it('is typed part by part, and tells itself in words', async () => {
    const { current } = editor(<First />, design({ steps: [STEP] }));
    await userEvent.type(screen.getByLabelText('Thread'), 'navy');
    await userEvent.type(screen.getByLabelText('Bobbin thread'), 'white');
    await userEvent.type(screen.getByLabelText('Stitch width'), '3 mn{Backspace}m');
    await userEvent.click(screen.getByLabelText('Round the free arm'));
    expect(setUpWords(current.document.steps[0] ?? STEP)).toEqual([
      'navy thread',
      'white in the bobbin',
      'width 3 mm',
      'free arm',
    ]);
  });

  it('knows a thread of the shelf, whatever it is called by now', async () => {
    const thread = (name: string) => ({
      items: [{ id: 20, name, kind: 'THREAD', putAway: false }],
      page: 0,
      size: 500,
      total: 1,
    });
    const { current } = editor(<First />, design({ steps: [STEP] }), {}, (client) =>
      client.setQueryData(keys.materials, thread('Navy 50')),
    );
    await userEvent.type(screen.getByLabelText('Thread'), 'navy 5');
    expect(current.document.steps[0]?.details?.threadId).toBeUndefined();
    await userEvent.type(screen.getByLabelText('Thread'), '0');
    expect(current.document.steps[0]?.details?.threadId).toBe(20);
    expect(screen.getByLabelText('Thread')).toHaveValue('Navy 50');
    expect(screen.getByText('from the shelf')).toBeVisible();
    await userEvent.type(screen.getByLabelText('Thread'), '{Backspace}');
    expect(current.document.steps[0]?.details?.threadId).toBeUndefined();
    expect(screen.getByLabelText('Thread')).toHaveValue('Navy 5');
  });

  it('is another at the press', async () => {
    const { current } = editor(<First />, design({ steps: [{ ...STEP, station: 'PRESS' }] }));
    expect(screen.queryByLabelText('Needle')).toBeNull();
    await userEvent.type(screen.getByLabelText('Heat'), '150 °C');
    await userEvent.type(screen.getByLabelText('Seconds held'), '12');
    await userEvent.selectOptions(screen.getByLabelText('Press cloth'), 'a cloth between');
    await userEvent.selectOptions(screen.getByLabelText('Steam'), 'dry');
    expect(current.document.steps[0]?.details).toMatchObject({
      heat: '150 °C',
      seconds: '12',
      pressCloth: 'press cloth',
      steam: 'dry',
    });
  });

  it('names one of several machines, or says that it is gone', async () => {
    const { current } = editor(
      <First />,
      design({ steps: [{ ...STEP, details: { ...NOTHING, machine: 7 } }] }),
      {},
      (client) =>
        client.setQueryData(keys.settings, {
          ...settings('INCH'),
          machines: [machine(1, 'Bramble'), machine(2, 'Anvil')],
        }),
    );
    const choice = await screen.findByLabelText('At which one');
    expect(screen.getByText('It isn’t among your machines any more.')).toBeVisible();
    await userEvent.selectOptions(choice, 'Anvil');
    expect(current.document.steps[0]?.details?.machine).toBe(2);
    await userEvent.selectOptions(choice, 'any that can');
    expect(current.document.steps[0]?.details?.machine).toBeUndefined();
  });
});
