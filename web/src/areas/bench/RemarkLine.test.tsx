import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { server } from '../../ui/fixtures.test.helper';
import { rendered } from '../../ui/rendered.test.helper';
import { RemarkLine } from './RemarkLine';

const remark = { key: 'earns/Tern tote', subject: 'EARNING', sentence: 'Tern tote earned 9.40 an hour.' };

afterEach(() => vi.unstubAllGlobals());

describe('what the figures say', () => {
  it('is one line that can be looked into and put away', async () => {
    const sent = server({ '/api/year/remarks': { remark }, '/api/year/remarks/away': {} });
    rendered(<RemarkLine />);
    expect(await screen.findByText('Tern tote earned 9.40 an hour.')).toBeVisible();
    expect(screen.getByRole('link', { name: 'See what earns' })).toHaveAttribute('href', '/year');
    await userEvent.click(screen.getByRole('button', { name: 'Put away' }));
    expect(sent.filter((one) => one.body).map((one) => one.body)).toEqual([{ key: 'earns/Tern tote' }]);
  });

  it('isn’t there while nothing deserves it', async () => {
    server({ '/api/year/remarks': {} });
    const { container } = rendered(<RemarkLine />);
    await new Promise((done) => setTimeout(done, 30));
    expect(container).toBeEmptyDOMElement();
  });
});
