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

export function SubjectDrawing({ subject }: { subject: Subject }) {
  const { cut, sewn } = DRAWINGS[subject];
  return (
    <svg width="72" height="48" aria-hidden className="shrink-0 rounded bg-ground">
      <path d={cut} fill="#fff" stroke="#14242d" strokeWidth="1.4" />
      {sewn && <path d={sewn} fill="none" stroke="#1d5a85" strokeWidth="1.4" strokeDasharray="4 3" />}
    </svg>
  );
}
