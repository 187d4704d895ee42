import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, vi } from 'vitest';
import { rendered } from '../../ui/rendered.test.helper';
import { refusing, server } from '../designs/editing.test.helper';
import { CuttingTime } from './CuttingTime';

afterEach(() => vi.unstubAllGlobals());

const minutes = {
  sheet: { text: '27 min', seconds: 1620 },
  steps: { text: '51 min', seconds: 3060 },
  names: ['Cut all pieces'],
  meets: false,
};

describe('the time for cutting', () => {
  it('sends what was shown, so that nothing else is taken', async () => {
    const sent = server({ '/api/batches/3/cutting/minutes': { batchId: 3 } });
    const taken = vi.fn();
    rendered(<CuttingTime batchId={3} minutes={minutes} onTaken={taken} />);
    await userEvent.click(screen.getByRole('button', { name: 'Let the design’s steps say 27 min' }));
    expect(sent[0]?.body).toEqual({ sheetSeconds: 1620, stepsSeconds: 3060 });
    await vi.waitFor(() => expect(taken).toHaveBeenCalledWith({ batchId: 3 }));
  });

  it('says why the steps stay as they are', async () => {
    refusing('The sheets or the steps say something else by now.');
    rendered(<CuttingTime batchId={3} minutes={minutes} onTaken={vi.fn()} />);
    await userEvent.click(screen.getByRole('button'));
    expect(await screen.findByText(/something else by now/)).toBeVisible();
  });

  it('offers nothing where both say the same', () => {
    rendered(<CuttingTime batchId={3} minutes={{ ...minutes, meets: true }} onTaken={vi.fn()} />);
    expect(screen.queryByRole('button')).toBeNull();
    expect(screen.getByText(/and so says/)).toHaveTextContent('“Cut all pieces”');
  });
});
