import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { length } from '../../ui/fixtures.test.helper';
import { rendered } from '../../ui/rendered.test.helper';
import { MeasurementTable } from './MeasurementTable';

const document = {
  name: 'Heron',
  sizes: ['small', 'medium'],
  usualUnits: 12,
  measurements: [
    { symbol: 'width', label: 'Width', kind: 'FINISHED', values: ['5 in', '7 1/2 in'] },
    { symbol: 'seam', label: 'Seam', kind: 'ALLOWANCE', values: ['¼ in'] },
  ],
  pieces: [],
  trims: [],
  notions: [],
  steps: [],
  slots: [],
} as unknown as Schemas['DesignDocument'];

const size = (name: string, finding?: string): Schemas['SizeSheet'] => ({
  size: name,
  measurements: [{ symbol: 'width', value: length('7 ½ in', '≈ 19.1 cm') }],
  pieces: [],
  trims: [],
  findings: finding ? [{ severity: 'REFUSED', place: 'measurements.width', sentence: finding }] : [],
});

describe('the table of measurements', () => {
  it('has a named field for each size, read back in the other unit', () => {
    rendered(
      <MeasurementTable
        document={document}
        sheet={{ sizes: [size('small'), size('medium')], canBeSewn: true }}
        onChange={vi.fn()}
      />,
    );
    expect(screen.getByLabelText('Width, small')).toHaveValue('5 in');
    expect(screen.getByLabelText('Width, medium')).toHaveValue('7 1/2 in');
    expect(screen.getByLabelText('Seam')).toHaveValue('¼ in');
    expect(screen.getAllByText('≈ 19.1 cm')).toHaveLength(2);
  });

  it('changes only the size that was typed into', async () => {
    const onChange = vi.fn();
    rendered(
      <MeasurementTable
        document={document}
        sheet={{ sizes: [size('small'), size('medium')], canBeSewn: true }}
        onChange={onChange}
      />,
    );
    await userEvent.type(screen.getByLabelText('Width, medium'), '!');
    expect(onChange.mock.calls[0]?.[0].measurements[0].values).toEqual(['5 in', '7 1/2 in!']);
    expect(onChange.mock.calls[0]?.[0].measurements[1].values).toEqual(['¼ in']);
  });

  it('says at the field what can’t be, and keeps what was typed', () => {
    const sheet = { sizes: [size('small'), size('medium', '“x” can’t be read.')], canBeSewn: false };
    rendered(<MeasurementTable document={document} sheet={sheet} onChange={vi.fn()} />);
    const field = screen.getByLabelText('Width, medium');
    expect(field).toHaveValue('7 1/2 in');
    expect(field).toBeInvalid();
    expect(field).toHaveAccessibleDescription('“x” can’t be read.');
    expect(screen.getByLabelText('Width, small')).toBeValid();
  });
});
