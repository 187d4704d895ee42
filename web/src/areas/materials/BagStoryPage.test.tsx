import { screen, within } from '@testing-library/react';
import type { Schemas } from '../../api/client';
import { money, server } from '../../ui/fixtures.test.helper';
import { rendered } from '../../ui/rendered.test.helper';
import BagStoryPage from './BagStoryPage';
import { age } from './goodsWords';

const story: Schemas['BagStory'] = {
  bags: {
    id: 4,
    batchId: 2,
    designName: 'Heron pouch',
    sizeName: 'small',
    clothName: 'Juniper Dot',
    quality: 'GOOD',
    units: 3,
    places: [{ place: 'home', units: 3 }],
    unitCost: money(1187),
    totalCost: money(11870),
    price: money(1400),
    finishedOn: '2026-11-15',
    daysOld: 120,
  },
  made: 10,
  material: money(334),
  labour: money(768),
  overheads: money(85),
  time: { text: '32 min', seconds: 1920 },
  seconds: [9],
  tickets: [{ day: '2026-11-16', units: 10, price: money(1400), channel: 'Stall' }],
  sold: [
    { day: '2026-11-20', where: 'Mill yard', fairId: 6, units: 4, paid: money(5600), note: '' },
    { day: '2026-11-22', where: 'Online', units: 1, paid: money(1500), note: 'order S-7' },
  ],
  soldUnits: 5,
  moved: [{ day: '2026-11-15', kind: 'MADE', place: 'home', change: 10, reason: '' }],
};

describe('the story of some bags', () => {
  it('tells what each cost, where they are and who bought them', async () => {
    server({ '/api/finished-goods/4': story });
    rendered(<BagStoryPage />, 'INCH', undefined, {
      path: '/materials/finished/4',
      route: '/materials/finished/:id',
    });
    const made = within(await screen.findByRole('region', { name: 'How they were made' }));
    expect(made.getByText('7.68')).toBeVisible();
    expect(made.getByText('4 months ago')).toBeVisible();
    expect(made.getByRole('link', { name: 'Some turned out to be seconds' })).toHaveAttribute(
      'href',
      '/materials/finished/9',
    );
    const sold = within(screen.getByRole('region', { name: 'Sold' }));
    expect(sold.getByRole('heading')).toHaveTextContent('Sold: 5 of 10');
    expect(sold.getByRole('link', { name: 'Mill yard' })).toHaveAttribute('href', '/stalls/6');
    expect(sold.getByText('order S-7')).toBeVisible();
  });

  it('says how old something is', () => {
    expect([0, 1, 13, 20, 200].map(age)).toEqual([
      'today',
      'yesterday',
      '13 days ago',
      '3 weeks ago',
      '7 months ago',
    ]);
  });
});
