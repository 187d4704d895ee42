import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { server } from '../../ui/fixtures.test.helper';
import { rendered } from '../../ui/rendered.test.helper';
import { CarePart } from './CarePart';

const shipped: Schemas['ShippedParts'] = {
  version: '0.1.0',
  parts: [
    { name: 'h2', version: '2.4.240', licence: 'MPL-2.0, EPL-1.0', place: 'SERVER' },
    { name: 'react', version: '19.3.1', licence: 'MIT', place: 'PAGE' },
  ],
};

afterEach(() => vi.unstubAllGlobals());

describe('when something is wrong', () => {
  it('offers the log, and lists what ships with its licences', async () => {
    server({ '/api/parts': shipped });
    rendered(<CarePart />);
    const user = userEvent.setup();
    expect(await screen.findByRole('link', { name: 'Save the log' })).toHaveAttribute('href', '/api/log.txt');
    await user.tab();
    await user.tab();
    await user.keyboard('{Enter}');
    const panel = within(await screen.findByRole('dialog', { name: 'What Mardun 0.1.0 is made of' }));
    expect(panel.getByText(/^2 parts that others made/)).toBeVisible();
    expect(panel.getByRole('row', { name: 'h2 2.4.240 MPL-2.0, EPL-1.0 server' })).toBeVisible();
    expect(panel.getByRole('row', { name: 'react 19.3.1 MIT page' })).toBeVisible();
    expect(panel.getByRole('link', { name: 'pages' })).toHaveAttribute('href', '/api/parts/page.cdx.json');
    await user.keyboard('{Escape}');
    expect(screen.queryByRole('dialog')).toBeNull();
  });
});
