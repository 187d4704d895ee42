import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { server } from '../../ui/fixtures.test.helper';
import { rendered } from '../../ui/rendered.test.helper';
import BooksPage from './BooksPage';
import { books, cell, row } from './year.test.helper';

const entries = {
  columns: [{ name: 'day', unit: '', figure: false }],
  rows: [row(false, cell('4 Jan 2026'))],
};

const shown = () =>
  server({
    '/api/year/books?from=2026-01-01': books(),
    '/api/year/books?from=2026-04-01': { ...books(), words: 'Apr 2026 to Mar 2027' },
    '/api/year/books/SALES?from=2026-01-01&months=1': entries,
  });

afterEach(() => vi.unstubAllGlobals());

describe('the year for the books', () => {
  it('opens a month’s sales to their entries', async () => {
    shown();
    rendered(<BooksPage />);
    await userEvent.click(
      await screen.findByRole('button', { name: 'paid by buyers, Jan 2026: 45.00, its entries' }),
    );
    expect(await screen.findByText('4 Jan 2026')).toBeVisible();
    expect(screen.getByRole('dialog', { name: 'Sales, Jan 2026' })).toBeVisible();
  });

  it('opens nothing where there is nothing', async () => {
    shown();
    rendered(<BooksPage />);
    await screen.findByText('Jan 2026 to Dec 2026');
    expect(screen.queryByRole('button', { name: /purchases, Jan/ })).toBeNull();
  });

  it('begins in another month', async () => {
    shown();
    rendered(<BooksPage />);
    await screen.findByText('Jan 2026 to Dec 2026');
    await userEvent.selectOptions(screen.getByLabelText('Begins in'), 'April');
    expect(await screen.findByText('Apr 2026 to Mar 2027')).toBeVisible();
    expect(screen.getByRole('link', { name: 'As PDF' })).toHaveAttribute(
      'href',
      '/api/year/books.pdf?from=2026-01-01',
    );
  });
});
