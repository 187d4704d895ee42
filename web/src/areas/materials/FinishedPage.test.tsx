import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { money } from '../../ui/fixtures.test.helper';
import { rendered } from '../../ui/rendered.test.helper';
import { server } from '../designs/editing.test.helper';
import FinishedPage from './FinishedPage';
import { page } from './fixtures.test.helper';

afterEach(() => vi.unstubAllGlobals());

const goods: Schemas['FinishedGoodsLine'] = {
  id: 4,
  batchId: 2,
  designName: 'Heron pouch',
  sizeName: 'small',
  clothName: 'Juniper Dot',
  quality: 'GOOD',
  units: 9,
  places: [
    { place: 'home', units: 3 },
    { place: 'stall box', units: 6 },
  ],
  unitCost: money(1187),
  totalCost: money(11870),
  price: money(1400),
  finishedOn: '2026-11-15',
  daysOld: 16,
};

describe('finished bags', () => {
  it('say where they are and what each cost', async () => {
    server({ '/api/finished-goods': { page: page([goods]), places: ['home', 'stall box'] } });
    rendered(<FinishedPage />);
    const row = within((await screen.findByText('Juniper Dot')).closest('tr') as HTMLElement);
    expect(row.getByText('3').parentElement).toHaveTextContent('3 home');
    expect(row.getByText('6').parentElement).toHaveTextContent('6 stall box');
    expect(row.getByText('11.87')).toBeVisible();
    expect(row.getByRole('link', { name: 'batch 2' })).toHaveAttribute('href', '/batches/2');
  });

  it('move from one place to another, or leave with a reason', async () => {
    const sent = server({
      '/api/finished-goods': { page: page([goods]), places: ['home', 'stall box'] },
      '/api/finished-goods/4/movements': [],
    });
    rendered(<FinishedPage />);
    await userEvent.click(await screen.findByRole('button', { name: /Move Heron pouch/ }));
    await userEvent.selectOptions(screen.getByLabelText('They are at'), 'stall box');
    await userEvent.type(screen.getByLabelText('How many'), '2');
    await userEvent.type(screen.getByLabelText('To'), 'Corner shop');
    await userEvent.click(screen.getByRole('button', { name: 'Enter' }));
    expect(sent.find((one) => one.body)?.body).toMatchObject({
      kind: 'MOVED',
      place: 'stall box',
      toPlace: 'Corner shop',
      units: '2',
    });
    await userEvent.click(await screen.findByRole('button', { name: /Move Heron pouch/ }));
    await userEvent.selectOptions(screen.getByLabelText('What happens'), 'They are spoiled or lost');
    expect(screen.queryByLabelText('To')).toBeNull();
    await userEvent.type(screen.getByLabelText('How many'), '1');
    await userEvent.type(screen.getByLabelText('Why'), 'wet');
    await userEvent.click(screen.getByRole('button', { name: 'Enter' }));
    expect(sent.filter((one) => one.body).at(-1)?.body).toMatchObject({ kind: 'WRITTEN_OFF', reason: 'wet' });
    expect(sent.filter((one) => one.body).at(-1)?.body).not.toHaveProperty('toPlace');
  });

  it('moves bags of several lots at once, those that were typed', async () => {
    const other = { ...goods, id: 5, designName: 'Tern tote', places: [{ place: 'home', units: 2 }] };
    const sent = server({
      '/api/finished-goods/moves': undefined,
      '/api/finished-goods': { page: page([goods, other]), places: ['home', 'stall box'] },
    });
    rendered(<FinishedPage />);
    expect((await screen.findAllByText('2 weeks ago'))[0]).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Move several' }));
    const panel = within(await screen.findByRole('dialog'));
    expect(panel.getByRole('button', { name: 'Type how many' })).toBeDisabled();
    await userEvent.click(await panel.findByRole('button', { name: 'All of them' }));
    await userEvent.clear(panel.getByLabelText(/How many of Heron pouch/));
    await userEvent.type(panel.getByLabelText('To'), 'Quay shop');
    await userEvent.click(panel.getByRole('button', { name: 'Move them to Quay shop' }));
    expect(sent.find((one) => one.body)?.body).toMatchObject({
      place: 'home',
      toPlace: 'Quay shop',
      lots: [{ goodsId: 5, units: '2' }],
    });
  });

  it('says where they come from when there are none', async () => {
    server({ '/api/finished-goods': { page: page([]), places: [] } });
    rendered(<FinishedPage />);
    expect(await screen.findByText('No finished bags here')).toBeVisible();
  });
});
