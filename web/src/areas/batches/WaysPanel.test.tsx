import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { rendered } from '../../ui/rendered.test.helper';
import { server } from '../designs/editing.test.helper';
import { WaysPanel } from './WaysPanel';

afterEach(() => vi.unstubAllGlobals());

const bodies = (sent: ReturnType<typeof server>, path: string) =>
  sent.filter((one) => one.path === path).map((one) => one.body);

const batch = (next: object, line: object = {}) =>
  ({
    id: 9,
    version: 2,
    stage: 'CUT',
    paused: false,
    cloths: [],
    lines: [
      {
        number: 1,
        designName: 'Heron',
        sizeName: 'small',
        started: 6,
        good: 1,
        seconds: 0,
        scrap: 0,
        open: 5,
        secondsAtBench: 0,
        putBy: 0,
        ...line,
      },
    ],
    sheet: { mark: 'now', units: 6, lines: [{ number: 1, clothName: 'Juniper Dot' }], needs: [] },
    ...next,
  }) as unknown as Schemas['BatchView'];

describe('what becomes of a batch that is cut', () => {
  it('isn’t made in part, and the pieces are put by or thrown away', async () => {
    const sent = server({ '/api/batches/9': batch({}), '/api/batches/9/cut-short': {} });
    rendered(<WaysPanel batchId={9} onClose={() => {}} />);
    const field = await screen.findByLabelText('Not made, line 1');
    await userEvent.type(field, '12{Backspace}{Backspace}3');
    await userEvent.click(screen.getByLabelText(/are thrown away/));
    await userEvent.click(screen.getByRole('button', { name: 'Don’t make these' }));
    expect(bodies(sent, '/api/batches/9/cut-short')).toMatchObject([
      { version: 2, throwAway: true, lines: [{ number: 1, units: '3' }] },
    ]);
  });

  it('makes none of the rest without a number typed', async () => {
    const sent = server({ '/api/batches/9': batch({}), '/api/batches/9/cut-short': {} });
    rendered(<WaysPanel batchId={9} onClose={() => {}} />);
    await userEvent.click(await screen.findByRole('button', { name: 'Make none of the rest' }));
    expect(bodies(sent, '/api/batches/9/cut-short')).toMatchObject([
      { throwAway: false, lines: [{ number: 1, units: '5' }] },
    ]);
  });

  it('takes up what was put by, and nothing else of one that was dropped', async () => {
    const sent = server({
      '/api/batches/9': batch({ stage: 'DROPPED' }, { started: 0, good: 0, open: 0, putBy: 4 }),
      '/api/batches/9/take-up': {},
    });
    rendered(<WaysPanel batchId={9} onClose={() => {}} />);
    const field = await screen.findByLabelText('Make after all, line 1');
    expect(field).toHaveValue('4');
    await userEvent.type(field, '{Backspace}2');
    await userEvent.click(screen.getByRole('button', { name: 'Make them after all' }));
    expect(bodies(sent, '/api/batches/9/take-up')).toMatchObject([{ version: 2, line: 1, units: '2' }]);
    expect(screen.queryByRole('button', { name: 'Put aside' })).toBeNull();
    expect(screen.queryByRole('button', { name: 'Split off' })).toBeNull();
  });

  it('offers nothing but kits of the pieces that a finished batch left', async () => {
    server({ '/api/batches/9': batch({ stage: 'FINISHED' }, { open: 0, putBy: 2 }) });
    rendered(<WaysPanel batchId={9} onClose={() => {}} />);
    expect(await screen.findByRole('button', { name: 'Bundle them' })).toBeVisible();
    expect(screen.getAllByRole('button').map((one) => one.textContent)).toEqual(['Close', 'Bundle them']);
  });

  it('bundles what was put by to kits', async () => {
    const sent = server({
      '/api/batches/9': batch({ stage: 'DROPPED' }, { started: 0, good: 0, open: 0, putBy: 4 }),
      '/api/batches/9/kits': {},
    });
    rendered(<WaysPanel batchId={9} onClose={() => {}} />);
    const form = within(await screen.findByRole('form', { name: 'Kits, line 1' }));
    expect(form.getByLabelText('How many')).toHaveValue('4');
    await userEvent.type(form.getByLabelText('How many'), '{Backspace}3');
    await userEvent.type(form.getByLabelText('One is sold for'), '9,50');
    await userEvent.click(form.getByLabelText(/notions go along/));
    await userEvent.click(form.getByRole('button', { name: 'Bundle them' }));
    expect(bodies(sent, '/api/batches/9/kits')).toMatchObject([
      { line: 1, units: '3', minutes: '', price: '9,50', withNotions: false },
    ]);
  });

  it('goes back into the batch that it was parted from', async () => {
    const sent = server({
      '/api/batches/9': batch({ partedFrom: 7 }),
      '/api/batches/7': batch({ id: 7, version: 11 }),
      '/api/batches/7/join': {},
    });
    rendered(<WaysPanel batchId={9} onClose={() => {}} />);
    await userEvent.click(await screen.findByRole('button', { name: 'Put back' }));
    await vi.waitFor(() =>
      expect(bodies(sent, '/api/batches/7/join')).toEqual([{ version: 11, otherId: 9, otherVersion: 2 }]),
    );
  });

  it('is planned again, or removed, once it was given up before anything was cut', async () => {
    const sent = server({
      '/api/batches/9': batch({ stage: 'DROPPED' }, { good: 0, open: 6 }),
      '/api/batches/9/plan-again': {},
    });
    rendered(<WaysPanel batchId={9} onClose={() => {}} />);
    expect(await screen.findByRole('button', { name: 'Remove' })).toBeVisible();
    expect(screen.queryByRole('button', { name: 'Don’t make these' })).toBeNull();
    expect(screen.queryByRole('button', { name: 'Split off' })).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Plan it again' }));
    expect(bodies(sent, '/api/batches/9/plan-again')).toEqual([{ version: 2 }]);
  });
});
