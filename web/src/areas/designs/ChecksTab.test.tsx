import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { design, piece, sizeSheet } from '../../ui/fixtures.test.helper';
import { rendered } from '../../ui/rendered.test.helper';
import { ChecksTab } from './ChecksTab';
import { EditingContext } from './editing';

const finding: Schemas['FindingView'] = {
  severity: 'CARE',
  check: 'NEEDLE',
  title: 'Needle and cloth',
  place: 'steps.zip',
  sentence: 'Too fine.',
};

function tab(found: Schemas['FindingView'][], change = vi.fn(), pieces = [piece('A')]) {
  const document = design({
    steps: [{ key: 'zip', name: 'Sew the zip' } as never],
    setAside: found.flatMap((f) =>
      f.setAside && f.check ? [{ check: f.check, place: f.place, reason: f.setAside }] : [],
    ),
  });
  const sizes = [sizeSheet('small', { pieces }), sizeSheet('medium', { pieces, findings: found })];
  rendered(
    <EditingContext
      value={{
        document,
        sheet: { sizes, canBeSewn: true, times: [], cloths: [], parts: [] },
        shown: sizes[1],
        change,
        goTo: vi.fn(),
      }}
    >
      <ChecksTab />
    </EditingContext>,
  );
  return change;
}

describe('the checks', () => {
  it('say where something looks wrong, and in which sizes', () => {
    tab([finding]);
    expect(screen.getByText('Needle and cloth')).toBeVisible();
    expect(screen.getByText('Sew the zip, medium')).toBeVisible();
    expect(screen.getByText('Too fine.')).toBeVisible();
  });

  it('call nothing right where nothing could be worked out', () => {
    tab([], vi.fn(), []);
    expect(screen.queryByText('nothing')).toBeNull();
    expect(screen.getByText('not yet')).toBeVisible();
  });

  it('say that nothing looks wrong where everything was looked at', () => {
    tab([]);
    expect(screen.getByText('nothing')).toBeVisible();
  });

  it('can be set aside only with a reason', async () => {
    const change = tab([finding]);
    await userEvent.click(screen.getByRole('button', { name: 'Set aside' }));
    expect(screen.getByRole('button', { name: 'Set aside' })).toBeDisabled();
    await userEvent.type(screen.getByLabelText('Why it is right as it is'), 'thin canvas');
    await userEvent.click(screen.getByRole('button', { name: 'Set aside' }));
    expect(change).toHaveBeenCalledWith({
      setAside: [{ check: 'NEEDLE', place: 'steps.zip', reason: 'thin canvas' }],
    });
  });

  it('are taken up again', async () => {
    const change = tab([{ ...finding, setAside: 'thin canvas' }]);
    expect(screen.getByText('Because: thin canvas')).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Take up again' }));
    expect(change).toHaveBeenCalledWith({ setAside: [] });
  });

  it('can’t be set aside where it can’t be sewn', () => {
    tab([{ severity: 'REFUSED', place: 'form', sentence: 'There is no such bag.' }]);
    expect(screen.getByText('can’t be sewn')).toBeVisible();
    expect(screen.queryByRole('button', { name: 'Set aside' })).toBeNull();
  });

  it('say that nothing looks wrong', () => {
    tab([]);
    expect(screen.getByText('nothing')).toBeVisible();
  });
});
