import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { server } from '../../ui/fixtures.test.helper';
import { rendered } from '../../ui/rendered.test.helper';
import YearPage from './YearPage';
import { cellOf, inCoins, yearsSince } from './table';
import { cell, chart, row, year } from './year.test.helper';

const shown = () =>
  server({ '/api/year': year(), '/api/year?from=2025-01-01': { ...year(), words: 'all 2025' } });

afterEach(() => vi.unstubAllGlobals());

describe('what the year says', () => {
  it('answers each question, with its figures and a sheet of them', async () => {
    shown();
    rendered(<YearPage />);
    expect(await screen.findByText('Jun 2025 to May 2026, 12 bags sold')).toBeVisible();
    const flow = screen.getByRole('region', { name: 'Where did the money go?' });
    expect(within(flow).getByText('The answer to FLOW.')).toBeVisible();
    await userEvent.click(within(flow).getByText('In numbers'));
    expect(within(flow).getByRole('cell', { name: '150.00' })).toBeInTheDocument();
    expect(within(flow).getByRole('link', { name: 'As CSV' })).toHaveAttribute(
      'href',
      '/api/year/FLOW.csv?from=2025-06-01',
    );
  });

  it('draws nothing where there is nothing, and says so', async () => {
    shown();
    rendered(<YearPage />);
    const fairs = await screen.findByRole('region', { name: 'Which fairs were worth it?' });
    expect(within(fairs).getByText('The answer to FAIRS.')).toBeVisible();
    expect(within(fairs).queryByText('In numbers')).toBeNull();
  });

  it('shows what earns by size when asked', async () => {
    shown();
    rendered(<YearPage />);
    expect(await screen.findByRole('heading', { name: 'What earns most, by design?' })).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'by size' }));
    expect(screen.getByRole('heading', { name: 'What earns most, by size?' })).toBeVisible();
    expect(screen.getByText('The dashed line is the 15.00 that you want for an hour.')).toBeVisible();
  });

  it('tells what dies from what is new', async () => {
    shown();
    rendered(<YearPage />);
    const shelf = await screen.findByRole('region', { name: 'What is dying on the shelf?' });
    expect(within(shelf).getByText('none goes')).toBeVisible();
    expect(within(shelf).getByText('new')).toBeVisible();
  });

  it('shows another year', async () => {
    shown();
    rendered(<YearPage />);
    await screen.findByText(/12 bags sold/);
    await userEvent.selectOptions(screen.getByLabelText('Which months'), '2025');
    expect(await screen.findByText('all 2025, 12 bags sold')).toBeVisible();
  });
});

describe('tables of figures', () => {
  it('finds a cell by its column', () => {
    const work = row(false, cell('your work'), cell('90.00', 9000));
    const { table } = chart('FLOW', 'Where?', ['to', 'amount'], [work]);
    expect(cellOf(table, work, 'amount').size).toBe(9000);
    expect(cellOf(table, work, 'none such').text).toBe('');
  });

  it('knows the coins of an amount', () => {
    expect(inCoins(cell('12.50', 1250))).toBe(100);
    expect(inCoins(cell('1250', 1250))).toBe(1);
  });

  it('offers each calendar year since the first sale', () => {
    expect(yearsSince('2024-10-03', '2026-05-04').map((one) => one.words)).toEqual(['2026', '2025', '2024']);
    expect(yearsSince(undefined, '2026-05-04').map((one) => one.from)).toEqual(['2026-01-01']);
  });
});
