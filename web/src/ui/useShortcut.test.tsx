import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { vi } from 'vitest';
import { switchShortcuts, useShortcut } from './useShortcut';

function Probe({ act, help }: { act: () => void; help: () => void }) {
  useShortcut('n', act);
  useShortcut('?', help);
  return <input aria-label="field" />;
}

describe('useShortcut', () => {
  beforeEach(() => localStorage.clear());

  it('acts on a single key, but never steals it from a field', async () => {
    const act = vi.fn();
    render(<Probe act={act} help={vi.fn()} />);
    await userEvent.keyboard('n');
    expect(act).toHaveBeenCalledTimes(1);
    await userEvent.type(screen.getByLabelText('field'), 'n');
    expect(act).toHaveBeenCalledTimes(1);
    expect(screen.getByLabelText('field')).toHaveValue('n');
  });

  it('acts once, however long the key is held', async () => {
    const act = vi.fn();
    render(<Probe act={act} help={vi.fn()} />);
    await userEvent.keyboard('{n>5/}');
    expect(act).toHaveBeenCalledTimes(1);
  });

  it('can be switched off, all but the list of keys', async () => {
    const act = vi.fn();
    const help = vi.fn();
    render(<Probe act={act} help={help} />);
    switchShortcuts(false);
    await userEvent.keyboard('n?');
    expect(act).not.toHaveBeenCalled();
    expect(help).toHaveBeenCalledTimes(1);
  });
});
