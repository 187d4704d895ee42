import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { vi } from 'vitest';
import { TextField } from './Field';
import { Panel } from './Panel';

function opened(value: string) {
  const close = vi.fn();
  render(
    <Panel title="A shop" open onOpenChange={close}>
      <TextField label="Name" defaultValue={value} />
    </Panel>,
  );
  return close;
}

describe('a panel', () => {
  it('begins in its first field if that is empty, so that a space types a space', async () => {
    const close = opened('');
    await userEvent.keyboard('By the river');
    expect(screen.getByLabelText('Name')).toHaveValue('By the river');
    expect(close).not.toHaveBeenCalled();
  });

  it('leaves what stands in a field alone', async () => {
    opened('Old Mill');
    await userEvent.keyboard('x');
    expect(screen.getByLabelText('Name')).toHaveValue('Old Mill');
  });

  it('is closed with Escape', async () => {
    const close = opened('');
    await userEvent.keyboard('{Escape}');
    expect(close).toHaveBeenCalledWith(false);
  });
});
