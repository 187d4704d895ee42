import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { vi } from 'vitest';
import { NameField } from './NameField';
import { Panel } from './Panel';
import { rendered } from './rendered.test.helper';

function InAPanel({ onName }: { onName: (name: string) => Promise<string | undefined> }) {
  const [open, setOpen] = useState(true);
  return (
    <Panel title="A piece" open={open} onOpenChange={setOpen}>
      <NameField label="Letter" value="S" onName={onName} />
    </Panel>
  );
}

describe('a field for a name', () => {
  it('takes it when the panel around it is closed with Escape, once', async () => {
    const onName = vi.fn(() => Promise.resolve(undefined));
    rendered(<InAPanel onName={onName} />);
    await userEvent.clear(screen.getByLabelText('Letter'));
    await userEvent.type(screen.getByLabelText('Letter'), 'T{Escape}');
    expect(screen.queryByLabelText('Letter')).toBeNull();
    await vi.waitFor(() => expect(onName).toHaveBeenCalledExactlyOnceWith('T'));
  });

  it('gives it up with Escape where nothing closes', async () => {
    const onName = vi.fn(() => Promise.resolve(undefined));
    rendered(<NameField label="Letter" value="S" onName={onName} />);
    await userEvent.type(screen.getByLabelText('Letter'), 'x{Escape}');
    expect(screen.getByLabelText('Letter')).toHaveValue('S');
    await userEvent.tab();
    expect(onName).not.toHaveBeenCalled();
  });
});
