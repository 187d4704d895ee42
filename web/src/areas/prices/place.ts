import type { Schemas } from '../../api/client';

/** A size of a design, in the usual cloth or in another. */
type Bag = { designId: number; sizeKey: string; clothId?: number };

/** For what a bag's price is set: its size in all cloths, or in one other than the usual. */
export const placeOf = ({ designId, sizeKey, clothId }: Bag, channelId: number): Schemas['PricePlace'] => ({
  designId,
  sizeKey,
  channelId,
  clothId,
});

/** What tells the page of a bag's price, or of its tickets, which bag it is. */
export const bagParams = (bag: Bag, channelId: number): string =>
  new URLSearchParams({
    design: String(bag.designId),
    size: bag.sizeKey,
    ...(bag.clothId ? { cloth: String(bag.clothId) } : {}),
    channel: String(channelId),
  }).toString();
