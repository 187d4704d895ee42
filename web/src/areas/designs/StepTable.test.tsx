import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { design } from '../../ui/fixtures.test.helper';
import { editor, server, step } from './editing.test.helper';
import { StepTable } from './StepTable';

const twoSteps = () => design({ steps: [step('zip', 'Sew the zip'), step('box', 'Box the corners')] });

afterEach(() => vi.unstubAllGlobals());

describe('the steps of a design', () => {
  it('are moved, and their minutes typed in place', async () => {
    const { current } = editor(<StepTable />, twoSteps());
    await userEvent.click(screen.getByRole('button', { name: 'Move Box the corners up' }));
    expect(current.document.steps.map((s) => s.key)).toEqual(['box', 'zip']);
    const minutes = screen.getByLabelText('Minutes for each, Sew the zip');
    await userEvent.clear(minutes);
    await userEvent.type(minutes, '12/h');
    expect(current.document.steps[1]?.minutesPerUnit).toBe('12/h');
  });

  it('share so many an hour among them', async () => {
    const sent = server({
      '/api/designs/paced': {
        ...twoSteps(),
        steps: [
          { ...step('zip', 'Sew the zip'), minutesPerUnit: '6' },
          { ...step('box', 'Box the corners'), minutesPerUnit: '6' },
        ],
      },
    });
    const { current } = editor(<StepTable />, twoSteps());
    await userEvent.click(screen.getByRole('button', { name: 'So many an hour' }));
    await userEvent.type(screen.getByLabelText(/Whole bags I make in an hour/), '5{Enter}');
    await waitFor(() => expect(current.document.steps.map((one) => one.minutesPerUnit)).toEqual(['6', '6']));
    expect(sent.find((one) => one.path === '/api/designs/paced')?.body).toMatchObject({ anHour: '5' });
  });

  it('tell what was measured, and how sure that is', () => {
    const minutes = (text: string) => ({ text, seconds: 60 });
    editor(<StepTable />, twoSteps(), {}, () => {}, [
      {
        key: 'zip',
        each: minutes('5.2 min'),
        atLeast: minutes('4.5 min'),
        atMost: minutes('5.9 min'),
        bags: 40,
        batches: 3,
        leftOut: 1,
        once: minutes('6 min'),
        onceBatches: 3,
        beginning: minutes('2 min'),
      },
    ]);
    const row = within(screen.getAllByRole('row')[1] ?? document.body);
    expect(row.getByText('5.2 min')).toBeVisible();
    expect(row.getByText(/40 bags timed in 3 batches; likely 4.5 min to 5.9 min; 1 left out/)).toBeVisible();
    expect(row.getByText('6 min')).toBeVisible();
  });

  it('open to all about them', async () => {
    const { current } = editor(<StepTable />, twoSteps());
    await userEvent.click(screen.getByRole('button', { name: '2. Box the corners' }));
    const panel = within(screen.getByRole('dialog'));
    await userEvent.click(panel.getByLabelText('Sew the zip'));
    await userEvent.type(panel.getByLabelText('What goes through, with its layers'), '2A, 2B');
    await userEvent.selectOptions(panel.getByLabelText('At the'), 'press');
    expect(current.document.steps[1]).toMatchObject({ after: ['zip'], uses: '2A, 2B', station: 'PRESS' });
    await userEvent.click(panel.getByRole('button', { name: 'Remove this step' }));
    expect(current.document.steps.map((s) => s.key)).toEqual(['zip']);
  });

  it('are added where one is, with what is on the machine there', async () => {
    const { current } = editor(
      <StepTable />,
      design({
        steps: [{ ...step('zip', 'Sew the zip'), foot: 'zip foot', needle: '80' }, step('box', 'Box it')],
      }),
    );
    await userEvent.click(screen.getByRole('button', { name: 'Add a step after Sew the zip' }));
    await userEvent.keyboard('{Escape}');
    expect(current.document.steps.map((s) => s.key)).toEqual(['zip', 'step', 'box']);
    expect(current.document.steps[1]).toMatchObject({ foot: 'zip foot', needle: '80', name: 'New step' });
    await userEvent.click(screen.getByLabelText('Minutes for each, Sew the zip'));
    await userEvent.click(screen.getByRole('button', { name: 'Add a step' }));
    expect(current.document.steps.map((s) => s.key)).toEqual(['zip', 'step2', 'step', 'box']);
  });

  it('are copied below themselves', async () => {
    const { current } = editor(<StepTable />, twoSteps());
    await userEvent.click(screen.getByRole('button', { name: 'Copy Sew the zip' }));
    expect(current.document.steps.map((s) => s.name)).toEqual([
      'Sew the zip',
      'Sew the zip, copy',
      'Box the corners',
    ]);
  });

  it('offer what was on the machine before, here and in other designs', async () => {
    server({ '/api/set-up-words': { needle: ['90'], thread: [], foot: ['walking foot'], stitch: [] } });
    editor(<StepTable />, design({ steps: [{ ...step('zip', 'Sew the zip'), foot: 'zip foot' }] }));
    await userEvent.click(screen.getByRole('button', { name: '1. Sew the zip' }));
    const list = () =>
      [...document.querySelectorAll('#used-foot option')].map(
        (option) => (option as HTMLOptionElement).value,
      );
    await vi.waitFor(() => expect(list()).toEqual(['zip foot', 'walking foot']));
    expect(screen.getByLabelText('Foot')).toHaveAttribute('list', 'used-foot');
  });

  it('are added with a key of their own', async () => {
    const { current } = editor(<StepTable />, twoSteps());
    await userEvent.click(screen.getByRole('button', { name: 'Add a step' }));
    expect(current.document.steps[2]?.key).toBe('step');
    expect(screen.getByRole('dialog')).toHaveTextContent('3. New step');
  });

  it('come from a building block', async () => {
    const block: Schemas['BlockView'] = {
      key: 'end-tabs',
      name: 'Zip end tabs',
      variant: 'folded',
      own: false,
      brings: ['End tab', 'Sew end tabs'],
    };
    const with3 = { ...twoSteps(), steps: [...twoSteps().steps, step('tabs', 'Sew end tabs')] };
    const sent = server({ '/api/design-blocks': [block], '/api/designs/with-block': with3 });
    const { current } = editor(<StepTable />, twoSteps());
    await userEvent.click(screen.getByRole('button', { name: 'Put in a building block' }));
    expect(await screen.findByText('End tab · Sew end tabs')).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Put in' }));
    expect(await screen.findByText('3. Sew end tabs')).toBeVisible();
    expect(current.document.steps).toHaveLength(3);
    expect(sent.find((s) => s.path === '/api/designs/with-block')?.body).toMatchObject({ block: 'end-tabs' });
  });

  it('are kept as a block of the maker’s own', async () => {
    const sent = server({ '/api/design-blocks': [] });
    editor(<StepTable />, twoSteps());
    await userEvent.click(screen.getByRole('button', { name: 'Save steps as a block' }));
    const panel = within(screen.getByRole('dialog'));
    await userEvent.type(panel.getByLabelText('Name of the block'), 'My zip');
    await userEvent.click(panel.getByLabelText('Sew the zip'));
    await userEvent.click(panel.getByRole('button', { name: 'Save' }));
    await vi.waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    expect(sent[0]?.body).toMatchObject({ name: 'My zip', steps: ['zip'] });
  });
});
