import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { vi } from 'vitest';
import { design, length, sizeSheet } from '../../ui/fixtures.test.helper';
import { rendered } from '../../ui/rendered.test.helper';
import { EditingContext } from './editing';
import { MeasurementTable } from './MeasurementTable';

const document = design({
  measurements: [
    { symbol: 'width', label: 'Width', kind: 'FINISHED', values: ['5 in', '7 1/2 in'], options: [] },
    { symbol: 'seam', label: 'Seam', kind: 'ALLOWANCE', values: ['¼ in'], options: [] },
    { symbol: 'lip', label: 'Lip', kind: 'CHOICE', values: ['bound'], options: ['hemmed', 'bound'] },
  ],
});

const size = (name: string, finding?: string) =>
  sizeSheet(name, {
    measurements: [{ symbol: 'width', value: length('7 ½ in', '≈ 19.1 cm'), text: '7 ½ in' }],
    findings: finding ? [{ severity: 'REFUSED', place: 'measurements.width', sentence: finding }] : [],
  });

function table(change = vi.fn(), finding?: string) {
  const sheet = {
    sizes: [size('small'), size('medium', finding)],
    canBeSewn: !finding,
    times: [],
    cloths: [],
  };
  rendered(
    <EditingContext value={{ document, sheet, shown: sheet.sizes[1], change, goTo: vi.fn() }}>
      <MeasurementTable />
    </EditingContext>,
  );
  return change;
}

describe('the table of measurements', () => {
  it('has a named field for each size, read back in the other unit', () => {
    table();
    expect(screen.getByLabelText('Width, small')).toHaveValue('5 in');
    expect(screen.getByLabelText('Width, medium')).toHaveValue('7 1/2 in');
    expect(screen.getByLabelText('Seam')).toHaveValue('¼ in');
    expect(screen.getAllByText('≈ 19.1 cm')).toHaveLength(2);
  });

  it('changes only the size that was typed into', async () => {
    const change = table();
    await userEvent.type(screen.getByLabelText('Width, medium'), '!');
    expect(change.mock.calls[0]?.[0].measurements[0].values).toEqual(['5 in', '7 1/2 in!']);
    expect(change.mock.calls[0]?.[0].measurements[1].values).toEqual(['¼ in']);
  });

  it('says at the field what can’t be, and keeps what was typed', () => {
    table(vi.fn(), '“x” can’t be read.');
    const field = screen.getByLabelText('Width, medium');
    expect(field).toHaveValue('7 1/2 in');
    expect(field).toBeInvalid();
    expect(field).toHaveAccessibleDescription('“x” can’t be read.');
    expect(screen.getByLabelText('Width, small')).toBeValid();
  });

  it('lets a choice be chosen', async () => {
    const change = table();
    await userEvent.selectOptions(screen.getByLabelText('Lip'), 'hemmed');
    expect(change.mock.calls[0]?.[0].measurements[2].values).toEqual(['hemmed']);
  });

  it('opens a row to make it the same for all sizes, or to remove it', async () => {
    const change = table();
    await userEvent.click(screen.getByRole('button', { name: 'Width: change the row' }));
    await userEvent.click(screen.getByLabelText('The same for all sizes'));
    expect(change.mock.calls[0]?.[0].measurements[0].values).toEqual(['5 in']);
    await userEvent.click(screen.getByRole('button', { name: 'Remove this row' }));
    expect(change.mock.calls[1]?.[0].measurements).toHaveLength(2);
  });
});
