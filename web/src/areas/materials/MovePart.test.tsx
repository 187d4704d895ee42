import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, vi } from 'vitest';
import { amount, length } from '../../ui/fixtures.test.helper';
import { rendered } from '../../ui/rendered.test.helper';
import { server } from '../designs/editing.test.helper';
import { cloth, lot, notion } from './fixtures.test.helper';
import { MovePart } from './MovePart';

afterEach(() => vi.unstubAllGlobals());

const offcut = lot({
  id: 32,
  soldAs: '',
  left: { ...amount('2', 2), count: 2 },
  width: length('22 in', '55.9 cm'),
  height: length('18 in', '45.7 cm'),
  size: { width: 22, height: 18 },
});

describe('what happened to a material', () => {
  it('is taken from the lot that was chosen, in pieces where it is an offcut', async () => {
    const sent = server({ '/api/materials/7/movements': {} });
    rendered(<MovePart material={cloth()} lots={[lot(), offcut]} />);
    await userEvent.selectOptions(screen.getByLabelText('What happened'), 'Some was spoiled');
    await userEvent.selectOptions(screen.getByLabelText('Which lot'), '32');
    expect(screen.getByText('pieces')).toBeVisible();
    await userEvent.type(screen.getByLabelText('Spoiled'), '1');
    await userEvent.type(screen.getByLabelText('Why'), 'moths');
    await userEvent.click(screen.getByRole('button', { name: 'Enter' }));
    expect(sent).toContainEqual({
      path: '/api/materials/7/movements',
      body: expect.objectContaining({ kind: 'SPOILED', lotId: 32, amount: '1', reason: 'moths' }),
    });
  });

  it('asks what was paid when something was bought, and for no lot', async () => {
    const sent = server({ '/api/materials/7/movements': {} });
    rendered(<MovePart material={cloth()} lots={[lot(), offcut]} />);
    await userEvent.selectOptions(screen.getByLabelText('What happened'), 'I bought some');
    expect(screen.queryByLabelText('Which lot')).toBeNull();
    await userEvent.type(screen.getByLabelText('Bought'), '2');
    await userEvent.type(screen.getByLabelText(/Paid for all of it/), '18,40');
    await userEvent.click(screen.getByRole('button', { name: 'Enter' }));
    expect(sent[0]?.body).toMatchObject({ kind: 'BOUGHT', paid: '18,40' });
    expect(sent[0]?.body).not.toHaveProperty('lotId');
  });

  it('may be of one half only', async () => {
    const sent = server({ '/api/materials/8/movements': {} });
    const halves = notion({
      parts: [
        { part: 'SOCKET', onHand: amount('20', 20) },
        { part: 'STUD', onHand: amount('14', 14) },
      ],
    });
    rendered(<MovePart material={halves} lots={[]} />);
    await userEvent.selectOptions(screen.getByLabelText('Of'), 'studs only');
    await userEvent.type(screen.getByLabelText('There is'), '12');
    await userEvent.click(screen.getByRole('button', { name: 'Enter' }));
    expect(sent[0]?.body).toMatchObject({ kind: 'COUNTED', part: 'STUD', amount: '12' });
  });
});
