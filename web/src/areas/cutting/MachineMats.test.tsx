import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { rendered } from '../../ui/rendered.test.helper';
import { server } from '../designs/editing.test.helper';
import { MachineMats } from './MachineMats';

afterEach(() => vi.unstubAllGlobals());

const length = (inch: string, metric: string) => ({ exact: metric, inch, metric });

const mats: Schemas['MatsView'] = {
  blade: 'rolling blade',
  why: 'Woven cloth frays.',
  sizes: [
    { key: 'square', width: length('11 ¾ in', '30 cm'), height: length('11 ¾ in', '30 cm') },
    { key: 'long', width: length('11 ¾ in', '30 cm'), height: length('23 ½ in', '60 cm') },
  ],
  size: 'square',
  widthMm: 300,
  heightMm: 300,
  kinds: [
    { label: 'A', name: 'Ear', count: 8, shaped: true, chosen: true },
    { label: 'B', name: 'Body', count: 4, shaped: false, chosen: false },
  ],
  tooLarge: ['C Flap'],
  mats: [
    {
      number: 1,
      key: 'one',
      pieces: 8,
      covered: '74 %',
      time: { text: '2 min', seconds: 120 },
      cut: false,
      paths: [{ label: 'A', path: 'M0 0L10 0L5 9Z', x: 5, y: 5 }],
    },
  ],
};

const machine = (more: Partial<Schemas['CutterView']>): Schemas['CutterView'] => ({
  doing: 'READY',
  key: '',
  title: '',
  done: 0,
  pieces: 0,
  jamsNext: false,
  ...more,
});

const opened = async (view: Partial<Schemas['CutterView']>) => {
  const sent = server({
    '/api/batches/3/cutting/mats/sent': machine({ doing: 'CUTTING', key: 'one', pieces: 8 }),
    '/api/batches/3/cutting/mats': mats,
    '/api/simulated/cutting-machine': machine(view),
  });
  rendered(<MachineMats batchId={3} materialId={7} />);
  await userEvent.click(screen.getByText('Shapes cut by machine'));
  await screen.findByText(/rolling blade/);
  return sent;
};

describe('shapes cut by machine', () => {
  it('sends a mat with just what is laid on it', async () => {
    const sent = await opened({});
    expect(screen.getByText(/C Flap is larger than this mat/)).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Cut this mat' }));
    expect(sent.find((one) => one.path.endsWith('/sent'))?.body).toEqual({
      number: 1,
      of: { materialId: 7, pieces: ['A'], mat: 'square' },
    });
  });

  it('asks anew for other pieces and another mat', async () => {
    const sent = await opened({});
    await userEvent.click(screen.getByLabelText(/B Body/));
    await vi.waitFor(() => expect(sent.at(-1)?.path ?? '').toContain('piece=A&piece=B'));
    await userEvent.selectOptions(screen.getByLabelText('On a mat of'), 'long');
    await vi.waitFor(() => expect(sent.some((one) => one.path.includes('mat=long'))).toBe(true));
  });

  it('says what a jam is, and what to do', async () => {
    const sent = await opened({ doing: 'JAMMED', trouble: 'The blade is caught.', done: 3, pieces: 8 });
    expect(screen.getByText('The blade is caught.')).toBeVisible();
    expect(screen.getByRole('progressbar', { name: 'Pieces cut' })).toHaveAttribute('aria-valuenow', '3');
    await userEvent.click(screen.getByRole('button', { name: 'Lift the blade and go on' }));
    expect(sent.find((one) => one.body !== undefined)?.body).toEqual({ act: 'CLEAR_JAM' });
  });
});
