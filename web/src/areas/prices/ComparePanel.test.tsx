import { screen } from '@testing-library/react';
import { vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { rendered } from '../../ui/rendered.test.helper';
import { ComparePanel } from './ComparePanel';
import type { Row } from './PricesPage';

const money = (minor: number) => ({ amount: (minor / 100).toFixed(2), minor });

const row = (design: string, left: number, perHour: number): Row => ({
  designId: design.charCodeAt(0),
  design,
  sort: 'pouch',
  sizeKey: 'one',
  size: '',
  cloth: '',
  cost: money(800),
  price: money(800 + left),
  own: false,
  follows: false,
  left: money(left),
  perHour: money(perHour),
  below: false,
  reason: '',
});

/** What is said where the server answers so. */
async function says(answer: Schemas['ComparedView'], words: string) {
  const asked = vi.fn<typeof fetch>(() => Promise.resolve(Response.json(answer)));
  vi.stubGlobal('fetch', asked);
  rendered(
    <ComparePanel
      rows={[row('Heron', 500, 1900), row('Tern', 300, 2400)]}
      channelId={3}
      onClose={() => {}}
    />,
  );
  expect(await screen.findByText(words, { exact: false })).toBeVisible();
  expect(JSON.parse(asked.mock.calls[0]?.[1]?.body as string)).toMatchObject({
    places: [{ channelId: 3 }, { channelId: 3 }],
  });
  return screen.getByRole('dialog').textContent;
}

describe('ComparePanel', () => {
  it('names the bag that leaves the most of one and for an hour', async () => {
    expect(await says({ mostAnHour: 0, mostOfOne: 0, noneEnough: false }, 'as long as it sells')).toContain(
      'Make more of Heron',
    );
  });

  it('tells the two apart where one leaves more for an hour and the other of one', async () => {
    const text = await says({ mostAnHour: 1, mostOfOne: 0, noneEnough: false }, 'When hours are short');
    expect(text).toContain('make more of Tern');
    expect(text).toContain('Heron leaves the most of one');
  });

  it('says so where none earns what an hour is worth', async () => {
    await says({ mostAnHour: 0, mostOfOne: 0, noneEnough: true }, 'None of them earns');
  });
});
