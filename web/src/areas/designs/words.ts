import type { Schemas } from '../../api/client';

export const ROLES: Record<Schemas['PieceRow']['role'], string> = {
  OUTER: 'outer',
  LINING: 'lining',
  INTERFACING: 'interfacing',
  POCKET: 'pocket',
  TAB: 'tab',
  STRAP: 'strap',
  ACCENT: 'accent',
};

export const SHAPES: Record<Schemas['ShapeRow']['kind'], string> = {
  RECTANGLE: 'nothing',
  CORNERS_CUT: 'corners cut out',
  SLANTED: 'slanted, or a point',
  ROUNDED: 'rounded, or a flap',
  NOTCHED: 'a V',
  TAPERED: 'tapered sides',
  CIRCLE: 'all but a circle',
  OVAL: 'all but an oval',
  CIRCLE_WITH_FLAT: 'all but a circle with a flat',
  DRAWN: 'drawn by hand',
};

/** What the two measures of a shape are. */
export const SHAPE_MEASURES: Record<Schemas['ShapeRow']['kind'], [string?, string?]> = {
  RECTANGLE: [],
  CORNERS_CUT: ['Cut-out, width', 'Cut-out, height'],
  SLANTED: ['Slant, width', 'Slant, height'],
  ROUNDED: ['Radius', 'Height, if another'],
  NOTCHED: ['V, width', 'V, depth'],
  TAPERED: ['Each side leans in by'],
  CIRCLE: [],
  OVAL: [],
  CIRCLE_WITH_FLAT: [],
  DRAWN: [],
};

export const DRAWN_LINES: Record<Schemas['DrawnRow']['line'], string> = {
  CUT: 'where it is cut',
  SEWN: 'where it is sewn',
};

export const DRAWN_TIPS: Record<Schemas['DrawnRow']['tips'], string> = {
  MITRED: 'cut to their point',
  CLIPPED: 'cut across',
};

export const EDGES: Record<Schemas['DrawnPoint']['side'], string> = {
  TOP: 'top edge',
  RIGHT: 'right edge',
  BOTTOM: 'bottom edge',
  LEFT: 'left edge',
};

export const PLACES: Record<Schemas['ShapeRow']['place'], string> = {
  TOP: 'at the top',
  BOTTOM: 'at the bottom',
  BOTH: 'at both ends',
};

export const FOLDS: Record<Schemas['PieceRow']['fold'], string> = {
  NONE: 'not on the fold',
  SIDE: 'a side on the fold',
  BASE: 'the base on the fold',
};

export const MARKS: Record<Schemas['MarkRow']['kind'], string> = {
  FOLD_LINE: 'fold line',
  CENTRE: 'centre',
  POCKET: 'pocket',
  HARDWARE: 'hardware',
  GAP: 'gap',
  NOTCH: 'notch',
  MOTIF: 'part of the print',
};

export const HALVES: Record<Schemas['MarkRow']['half'], string> = {
  WHOLE: 'whole',
  SOCKET: 'socket',
  STUD: 'stud',
};

export const TRIMS: Record<Schemas['TrimNeed']['kind'], string> = {
  ZIP: 'zip',
  WEBBING: 'webbing',
  CORD: 'cord',
  RIBBON: 'ribbon',
  ELASTIC: 'elastic',
  BINDING: 'binding',
  STIFFENER: 'stiffener',
};

export const ZIPS: Record<Schemas['ZipFit']['school'], string> = {
  INSET: 'inset with end tabs',
  TABS_TO_EDGE: 'tabs to the edge',
  FULL_LENGTH: 'full length, ends in the seams',
};

export const STRAPS: Record<Schemas['Strap']['school'], string> = {
  FOUR_FOLD: 'folded in four',
  TUBE: 'sewn as a tube',
  EDGES_TO_CENTRE: 'edges to the centre',
  ONE_LAYER: 'one layer',
  FACED: 'faced from two strips',
  WEBBING: 'webbing',
};

export const BOXINGS: Record<Schemas['FormRow']['school'], string> = {
  CUT_BEFORE_SEWING: 'cut out before sewing',
  CUT_AFTER_SEWING: 'cut out after sewing, from the stitching',
  LINE_ACROSS: 'a line across the flattened corner',
  SNIPPED: 'snipped to the stitching, one straight seam',
  BOXED_AS_ONE: 'outer and lining boxed in one seam',
};

export const SIDES: Record<NonNullable<Schemas['FormRow']['sides']>, string> = {
  SEAMS: 'a seam on each side',
  ONE_FOLD: 'one piece, folded at a side',
  BACK_SEAM: 'a tube with one seam behind',
};

export const BASES: Record<Schemas['FormRow']['base'], string> = { SEAM: 'a seam', FOLD: 'a fold' };

export const STATIONS: Record<Schemas['StepRow']['station'], string> = {
  CUTTING_TABLE: 'cutting table',
  CUTTING_MACHINE: 'cutting machine',
  PRESS: 'press',
  MACHINE: 'machine',
  OVERLOCKER: 'overlocker',
  HAND_PRESS: 'hand press',
  WORK_TABLE: 'work table',
};

export const STAGES: Record<Schemas['StepRow']['stage'], string> = {
  CUT: 'cut',
  SEW: 'sew',
  FINISH: 'finish',
};

export const LICENCES: Record<Schemas['Source']['licence'], string> = {
  OWN: 'my own design',
  FREE_TO_SELL: 'somebody’s pattern, may be sold',
  SO_MANY: 'somebody’s pattern, so many may be sold',
  SO_MANY_A_YEAR: 'somebody’s pattern, so many may be sold a year',
  NOT_FOR_SALE: 'somebody’s pattern, not for sale',
};

export const CONDITIONS: Record<Schemas['Source']['conditions'][number], string> = {
  NO_RESELLERS: 'Others mayn’t sell the bags',
  ONLY_FINISHED: 'Only finished bags may be sold, no kits',
};

type Ware = NonNullable<Schemas['SlotRow']['ware']>;

/** What a notion can be. */
export const NOTIONS: Partial<Record<Ware, string>> = {
  SLIDER: 'slider',
  SNAP: 'snap',
  MAGNET: 'magnetic snap',
  RING: 'ring',
  CLIP: 'clip',
  CORD_END: 'cord end',
  LABEL: 'label',
  LOCK: 'lock',
  SOMETHING_ELSE: 'something else',
};

/** What a trim can be. */
export const TRIM_WARES: Partial<Record<Ware, string>> = {
  ZIP_TAPE: 'zip tape',
  WEBBING: 'webbing',
  CORD: 'cord',
  RIBBON: 'ribbon',
  ELASTIC: 'elastic',
  BINDING: 'binding',
  STIFFENER: 'stiffener',
};

export const MATERIALS: Record<Schemas['SlotRow']['kind'], string> = {
  CLOTH: 'cloth',
  SHEET: 'by the sheet',
  TRIM: 'by length',
  NOTION: 'by count',
  FILLING_BY_WEIGHT: 'filling, by weight',
  FILLING_BY_VOLUME: 'filling, by volume',
  THREAD: 'thread',
  PACKING: 'packing',
};

/** What a design asks for: cloth may come from a roll or by the sheet. */
export const ASKED = Object.fromEntries(
  Object.entries(MATERIALS).filter(([kind]) => kind !== 'SHEET'),
) as typeof MATERIALS;

export const CLOTHS: Record<Schemas['SlotRow']['cloths'][number], string> = {
  QUILTING_COTTON: 'quilting cotton',
  LINEN: 'linen',
  CANVAS: 'canvas',
  DENIM: 'denim',
  LAMINATE: 'laminate',
  CLEAR_VINYL: 'clear vinyl',
  LEATHER_LIKE: 'leather-like vinyl',
  CORK: 'cork',
  FELT: 'felt',
  MESH: 'mesh',
  FUSIBLE: 'fusible interfacing',
  BATTING: 'batting or fleece',
  FOAM: 'foam',
};

export const MEASURES: Record<Schemas['Measurement']['kind'], string> = {
  FINISHED: 'finished length',
  ALLOWANCE: 'allowance or other length',
  ANGLE: 'angle',
  COUNT: 'count',
  FACTOR: 'plain number',
  CHOICE: 'choice',
};
