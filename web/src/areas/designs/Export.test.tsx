import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, vi } from 'vitest';
import { rendered } from '../../ui/rendered.test.helper';
import { server } from './editing.test.helper';
import { Export } from './Export';

afterEach(() => vi.unstubAllGlobals());

describe('designs that go out', () => {
  it('are all of them with their photos, or those that are ticked', async () => {
    server({
      '/api/design-names': [
        { id: 3, name: 'Heron pouch' },
        { id: 5, name: 'Tern {ç} 🧵' },
        { id: 8, name: 'Wren wallet' },
      ],
    });
    rendered(<Export />);
    await userEvent.click(screen.getByRole('button', { name: 'Export' }));
    const panel = within(await screen.findByRole('dialog'));
    expect(await panel.findByRole('link', { name: 'Export these 3' })).toHaveAttribute(
      'href',
      '/api/design-book.zip',
    );
    await userEvent.click(panel.getByLabelText('Tern {ç} 🧵'));
    expect(panel.getByLabelText('All 3')).not.toBeChecked();
    expect(panel.getByRole('link', { name: 'Export these 2' })).toHaveAttribute(
      'href',
      '/api/design-book.zip?ids=3,8',
    );
    await userEvent.click(panel.getByLabelText('With their photos, as a ZIP file'));
    await userEvent.click(panel.getByLabelText('Heron pouch'));
    expect(panel.getByRole('link', { name: 'Export this design' })).toHaveAttribute(
      'href',
      '/api/design-book.json?ids=8',
    );
    await userEvent.click(panel.getByLabelText('Wren wallet'));
    expect(panel.queryByRole('link')).toBeNull();
    await userEvent.click(panel.getByLabelText('All 3'));
    expect(panel.getByRole('link', { name: 'Export these 3' })).toBeVisible();
  });
});
