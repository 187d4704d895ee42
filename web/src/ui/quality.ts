import type { Schemas } from '../api/client';

type Quality = Schemas['BagView']['quality'];

/** As what one bag is sold; nothing where it is as it should be. */
export const QUALITY: Record<Quality, string> = { GOOD: '', SECOND: 'second', KIT: 'kit' };

/** The same of several, to stand behind what they are called. */
export const ofQuality = (quality: Quality) =>
  quality === 'GOOD' ? '' : quality === 'SECOND' ? ' · seconds' : ' · kits';

/** What a kind of bag is called, with its cloth and quality, so that kinds that differ by these alone aren’t called the same. */
export const called = ({ design, size, cloth, quality }: Schemas['BagView']) =>
  [design, size, cloth, QUALITY[quality]].filter(Boolean).join(', ');
