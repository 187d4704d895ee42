import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { design, length, sizeSheet } from '../../ui/fixtures.test.helper';
import { rendered } from '../../ui/rendered.test.helper';
import { EditingContext } from './editing';
import { MeasurementTable } from './MeasurementTable';

const width: Schemas['Measurement'] = {
  symbol: 'width',
  label: 'Width',
  kind: 'FINISHED',
  values: ['5 in', '7 1/2 in'],
  options: [],
};

const document = design({
  measurements: [
    width,
    { symbol: 'seam', label: 'Seam', kind: 'ALLOWANCE', values: ['¼ in'], options: [] },
    { symbol: 'lip', label: 'Lip', kind: 'CHOICE', values: ['bound'], options: ['hemmed', 'bound'] },
  ],
});

const size = (name: string, finding?: string) =>
  sizeSheet(name, {
    measurements: [{ symbol: 'width', value: length('7 ½ in', '≈ 19.1 cm'), text: '7 ½ in' }],
    workedOut: [
      { formula: 'up_to(seam * 3; 1/2 in)', value: length('7 ½ in', '≈ 19.1 cm'), text: '7 ½ in' },
      { formula: 'seam * 4', value: length('7 ½ in', '≈ 19.1 cm'), text: '7 ½ in' },
    ],
    findings: finding ? [{ severity: 'REFUSED', place: 'measurements.width', sentence: finding }] : [],
  });

function table(change = vi.fn(), finding?: string) {
  const sheet = {
    sizes: [size('small'), size('medium', finding)],
    canBeSewn: !finding,
    times: [],
    cloths: [],
    parts: [],
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

  it('shows what a formula comes to, and the formula to whoever asks or types', async () => {
    const change = vi.fn();
    const sheet = { sizes: [size('small')], canBeSewn: true, times: [], cloths: [], parts: [] };
    function Typing() {
      const [row, setRow] = useState({ ...width, values: ['up_to(seam * 3; 1/2 in)'] });
      const typed = design({ measurements: [row] });
      change.mockImplementation((next: { measurements: [typeof row] }) => setRow(next.measurements[0]));
      return (
        <EditingContext value={{ document: typed, sheet, shown: sheet.sizes[0], change, goTo: vi.fn() }}>
          <MeasurementTable />
        </EditingContext>
      );
    }
    rendered(<Typing />);
    const field = screen.getByLabelText('Width');
    expect(field).toHaveValue('7 ½ in');
    await userEvent.click(screen.getByRole('button', { name: 'How Width is worked out' }));
    expect(field).toHaveValue('up_to(seam * 3; 1/2 in)');
    await userEvent.click(screen.getByRole('button', { name: 'How Width is worked out' }));
    await userEvent.clear(field);
    await userEvent.type(field, 'seam * 4');
    expect(field).toHaveValue('seam * 4');
    await userEvent.tab();
    expect(field).toHaveValue('7 ½ in');
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
