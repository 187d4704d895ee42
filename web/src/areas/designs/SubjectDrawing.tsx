import type { Schemas } from '../../api/client';

type Subject = Schemas['SubjectView']['subject'];

/** What is cut is drawn in full lines, stitches and folds are dashed. */
const DRAWINGS: Record<Subject, { cut: string; sewn?: string }> = {
  BOXED_PANEL: { cut: 'M8 6H64V34H56V42H16V34H8Z', sewn: 'M12 6V32M60 6V32M18 38H54' },
  BOXED_CORNER: { cut: 'M14 6V30H28V42H64', sewn: 'M19 6V30M28 37H64M14 30L28 42' },
  JOIN: { cut: 'M12 4H60V20H12ZM12 24H60V44H12Z', sewn: 'M12 16H60M12 28H60' },
  ZIP: { cut: 'M6 18H66V30H6Z', sewn: 'M6 24H66M14 14V34M58 14V34' },
  END_TAB: { cut: 'M8 14H28V34H8ZM34 18H66V30H34Z', sewn: 'M18 14V34M34 24H66' },
  INTERFACING: { cut: 'M8 6H64V42H8Z', sewn: 'M16 14H56V34H16Z' },
  STRAP: { cut: 'M4 12H68V36H4Z', sewn: 'M4 18H68M4 24H68M4 30H68' },
  DRAWSTRING: { cut: 'M18 16H54V44H18Z', sewn: 'M18 22H54M10 8C14 20 58 20 62 8' },
  CASING: { cut: 'M8 6H64V42', sewn: 'M8 16H64M8 26H64' },
  RIM: { cut: 'M10 8H62V42H10Z', sewn: 'M10 16H62' },
  POCKET: { cut: 'M8 4H64V44H8ZM18 18H54V40H18Z', sewn: 'M30 18V40M42 18V40' },
  ELASTIC: { cut: 'M8 10H64V38H8Z', sewn: 'M8 16Q14 10 20 16T32 16T44 16T56 16T64 16' },
  FOB: { cut: 'M24 4H48V44H24Z', sewn: 'M29 9H43V39H29Z' },
  FOLDED_SIDES: { cut: 'M8 6H64V42H8Z', sewn: 'M8 16L16 24L8 32M64 16L56 24L64 32' },
  SHAPED_TOP: { cut: 'M8 6H26L36 20L46 6H64V42H8Z', sewn: 'M12 10H24L36 26L48 10H60' },
  GUSSET: {
    cut: 'M12 4H40V30Q40 40 30 40H22Q12 40 12 30ZM50 4H60V44H50Z',
    sewn: 'M16 4V30Q16 36 22 36H30Q36 36 36 30V4',
  },
  ROUND_BASE: {
    cut: 'M20 24A16 16 0 1 0 52 24A16 16 0 1 0 20 24',
    sewn: 'M24 24A12 12 0 1 0 48 24A12 12 0 1 0 24 24',
  },
};

/** Ways that look different from their subject have a drawing of their own, by the name of their rule. */
const WAYS: Record<string, { cut: string; sewn?: string }> = {
  folded_length: { cut: 'M18 2H54V16H48V32H54V46H18V32H24V16H18Z', sewn: 'M18 24H54' },
  panel_height: { cut: 'M12 4H60V36H52V44H20V36H12Z', sewn: 'M66 4V44' },
  cut_before: { cut: 'M14 4V28H30V44H66', sewn: 'M14 28H6M30 44V48' },
  cut_after: { cut: 'M8 4V44H66', sewn: 'M14 4V38H66M14 26H26V38' },
  line_across: { cut: 'M10 38L36 8L62 38', sewn: 'M22 24H50M36 8V38' },
  snip_seam: { cut: 'M8 4V44H66', sewn: 'M20 4V32H66M8 44L20 32' },
  zip_inset: { cut: 'M4 8H68V40H4Z', sewn: 'M16 24H56M12 18V30M60 18V30' },
  zip_tabs_to_edge: { cut: 'M4 8H68V40H4ZM4 16H18V32H4ZM54 16H68V32H54Z', sewn: 'M14 24H58' },
  zip_full_length: { cut: 'M4 8H68V40H4Z', sewn: 'M4 24H68M10 8V40M62 8V40' },
  tab_tube_width: { cut: 'M20 8H52V40H20Z', sewn: 'M26 8V40M46 8V40M36 8V40' },
  interfacing_basted: { cut: 'M8 6H64V42H8Z', sewn: 'M10 8H62V40H10Z' },
  strap_tube: { cut: 'M4 12H68V36H4Z', sewn: 'M4 17H68M4 31H68M4 24H68' },
  strap_edges_to_centre: { cut: 'M4 12H68V36H4Z', sewn: 'M4 18H68M4 30H68' },
  strap_one_layer: { cut: 'M4 18H68V30H4Z' },
  strap_faced: { cut: 'M4 6H68V20H4ZM4 28H68V42H4Z', sewn: 'M4 9H68M4 17H68M4 31H68M4 39H68' },
  webbing_length: { cut: 'M4 18H68V30H4Z', sewn: 'M16 18V30M56 18V30' },
  strap_slanted: { cut: 'M14 38L42 6H58L30 38Z', sewn: 'M8 38H64' },
  strap_joined_length: { cut: 'M2 18H34L46 30H2ZM34 18H70V30H46', sewn: 'M32 18L44 30' },
  cord_backpack: { cut: 'M16 8H56V44H16Z', sewn: 'M16 14H56M16 14C4 24 8 40 16 42M56 14C68 24 64 40 56 42' },
  lining_rolled: { cut: 'M10 8H62V44H10Z', sewn: 'M10 16H62M10 24H62' },
  pocket_folded: { cut: 'M16 2H56V46H16Z', sewn: 'M16 24H56' },
  pocket_division: { cut: 'M8 10H64V42H8Z', sewn: 'M27 10V42M45 10V42' },
  slots_pleated: { cut: 'M16 2H56V46H16Z', sewn: 'M16 10H56M16 16H56M16 24H56M16 30H56M16 38H56' },
  graduated: { cut: 'M8 26H24V44H8ZM28 18H44V44H28ZM48 10H64V44H48Z' },
  notch_angle: { cut: 'M8 6H22L36 30L50 6H64', sewn: 'M30 20A8 8 0 0 0 42 20' },
  cut_out_between: { cut: 'M8 6H24V26H48V6H64V44H8Z' },
  taper: { cut: 'M20 6H52L62 42H10Z', sewn: 'M20 6V42M52 6V42' },
  gusset_width: { cut: 'M26 2H46V46H26Z', sewn: 'M30 2V46M42 2V46' },
  round_body: { cut: 'M4 12H68V36H4Z', sewn: 'M8 12V36M64 12V36' },
  wrap_across: { cut: 'M8 6H64V42H8Z', sewn: 'M12 6V42M60 6V42' },
};

export function SubjectDrawing({ subject, rule }: { subject: Subject; rule?: string }) {
  const { cut, sewn } = (rule ? WAYS[rule] : undefined) ?? DRAWINGS[subject];
  return (
    <svg width="72" height="48" aria-hidden className="shrink-0 rounded bg-ground">
      <path d={cut} fill="#fff" stroke="#14242d" strokeWidth="1.4" />
      {sewn && <path d={sewn} fill="none" stroke="#1d5a85" strokeWidth="1.4" strokeDasharray="4 3" />}
    </svg>
  );
}
