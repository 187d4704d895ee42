import type { Schemas } from '../../api/client';

/** Cloth leaves the shelf when it is cut; all else when the bags are finished. */
export const leavesWhenCut = (kind: Schemas['NeedLine']['kind']) => kind === 'CLOTH' || kind === 'SHEET';
