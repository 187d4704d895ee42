import { uuid } from '../../../ui/uuid';
import type { Entry } from './reckon';

/** What a touch on a bag can mean. */
export type Touch = 'SOLD' | 'PROMISED' | 'GIVEN_AWAY' | 'BROKEN' | 'STOLEN';

/** An entry of this device, made now. */
export const entryOf = (kind: Entry['kind'], more: Partial<Entry>): Entry => ({
  id: uuid(),
  kind,
  at: new Date().toISOString(),
  bags: [],
  payment: '',
  note: '',
  ...more,
});
