import type { Schemas } from '../../api/client';

/** How a fair stands, in words. */
export const STATES: Record<Schemas['FairRow']['state'], string> = {
  THINKING: 'thinking of it',
  APPLIED: 'applied',
  ACCEPTED: 'accepted',
  PAID: 'paid',
  DONE: 'settled',
  NOT_GOING: 'not going',
};
