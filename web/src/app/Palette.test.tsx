import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useLocation } from 'react-router';
import { describe, expect, it, vi } from 'vitest';
import { allTopics, rulesOf } from '../areas/help/topics';
import HelpPage from '../areas/help/HelpPage';
import { server } from '../ui/fixtures.test.helper';
import { rendered } from '../ui/rendered.test.helper';
import { Shortcuts } from './Shortcuts';

function Here() {
  const { pathname, search } = useLocation();
  return <p>here: {pathname + search}</p>;
}

function opened() {
  const sent = server({
    '/api/design-names': [
      { id: 7, name: 'Tern {tote} ç' },
      { id: 8, name: 'Heron pouch' },
    ],
    '/api/batches': { items: [], page: 0, size: 6, total: 0 },
    '/api/materials': { items: [], page: 0, size: 6, total: 0 },
    '/api/fairs': { coming: [{ id: 1, name: 'Harbour fair', heldOn: '2026-05-09' }] },
  });
  rendered(
    <>
      <Here />
      <Shortcuts />
    </>,
  );
  return sent;
}

describe('the palette', () => {
  it('opens on Ctrl K and goes to a design by a part of its name, by keys alone', async () => {
    opened();
    await userEvent.keyboard('{Control>}k{/Control}');
    await userEvent.type(await screen.findByPlaceholderText(/Go to a design/), 'terx{Backspace}n');
    expect(await screen.findByText('Tern {tote} ç')).toBeVisible();
    expect(screen.queryByText('Heron pouch')).toBeNull();
    await userEvent.keyboard('{Enter}');
    expect(await screen.findByText('here: /designs/7')).toBeVisible();
    expect(screen.queryByPlaceholderText(/Go to a design/)).toBeNull();
  });

  it('asks the server for materials and batches once typing stands still', async () => {
    const sent = opened();
    await userEvent.keyboard('{Control>}k{/Control}');
    await userEvent.type(await screen.findByPlaceholderText(/Go to a design/), 'sea & sky');
    await vi.waitFor(() =>
      expect(sent.some(({ path }) => path.includes('/api/batches?size=6&q=sea%20%26%20sky'))).toBe(true),
    );
    expect(sent.some(({ path }) => path.includes('q=s&') || path.endsWith('q=s'))).toBe(false);
  });

  it('finds a rule and opens it where it stands', async () => {
    opened();
    await userEvent.keyboard('{Control>}k{/Control}');
    await userEvent.type(await screen.findByPlaceholderText(/Go to a design/), 'boxed corners');
    await userEvent.click(await screen.findByText('Boxed corners'));
    expect(await screen.findByText('here: /help/construction?rule=Boxed%20corners')).toBeVisible();
  });
});

describe('the rules inside', () => {
  it('are all there, the words of the trade first, without names from the program', async () => {
    const topics = await allTopics();
    expect(topics.length).toBeGreaterThanOrEqual(15);
    expect(topics[0]?.title).toBe('Words of the trade');
    expect(topics.flatMap(rulesOf).length).toBeGreaterThan(80);
    expect(topics.find(({ key }) => key === 'construction')?.text).not.toContain('(`Boxing`)');
  });

  it('are read as pages', async () => {
    rendered(<HelpPage />, 'INCH', undefined, { path: '/help/kinds', route: '/help/:topic' });
    expect(await screen.findByRole('heading', { name: 'Kinds of bag' })).toBeVisible();
    expect(screen.getByRole('link', { name: 'Construction' })).toHaveAttribute('href', '/help/construction');
  });
});
