import type { Schemas } from '../../../api/client';

type Option = Schemas['OptionView']['option'];

/** A small drawing: what is filled, what is drawn, what is stitched, and what is of another cloth. */
interface Lines {
  fill?: string;
  line?: string;
  stitch?: string;
  other?: string;
}

const BAG = 'M8 8H32V27H8Z';
const PANEL = 'M7 4H33V27H7Z';
const ZIP = 'M3 11H37V19H3Z';

const DRAWINGS: Record<Option, Lines> = {
  CUT_OUT_FIRST: { fill: 'M6 4H34V20H28V27H12V20H6Z' },
  CUT_OUT_AFTER: { fill: PANEL, stitch: 'M13 27V21H7M27 27V21H33' },
  LINE_ACROSS: { fill: 'M3 27L20 4L37 27Z', stitch: 'M11 16H29' },
  SNIPPED: { fill: PANEL, line: 'M7 27L14 20M33 27L26 20', stitch: 'M14 4V20H26V4' },
  BOXED_AS_ONE: { fill: 'M6 4H34V20H28V27H12V20H6Z', other: 'M10 7H30V17H25V23H15V17H10Z' },

  BASE_SEAM: { fill: PANEL, stitch: 'M7 23H33' },
  BASE_FOLD: { fill: 'M7 4H33V24Q33 28 20 28Q7 28 7 24Z', line: 'M10 24Q20 27 30 24' },

  STRAIGHT_TOP: { fill: PANEL },
  V_TOP: { fill: 'M7 4H13L20 14L27 4H33V27H7Z' },
  GATHERED_TOP: { fill: 'M11 3Q20 7 29 3L24 11L32 27H8L16 11Z', other: 'M14 10H26V12H14Z' },
  EARED_TOP: { fill: 'M7 27V14L14 3L20 12L26 3L33 14V27Z' },

  FOLDED_TABS: { fill: ZIP, other: 'M7 10H14V20H7ZM26 10H33V20H26Z', stitch: 'M14 15H26' },
  TUBE_TABS: { fill: ZIP, other: 'M7 10Q3 15 7 20H14V10ZM33 10Q37 15 33 20H26V10Z', stitch: 'M14 15H26' },
  TABS_TO_EDGE: {
    fill: ZIP,
    other: 'M3 10H11V20H3ZM29 10H37V20H29Z',
    stitch: 'M11 15H29',
    line: 'M3 4V26M37 4V26',
  },
  CAUGHT: { fill: ZIP, stitch: 'M3 15H37', line: 'M3 4V26M37 4V26' },

  LINED: { fill: BAG, other: 'M11 8H29V24H11Z' },
  LINED_TIGHTER: { fill: BAG, other: 'M14 8H26V22H14Z' },
  ROLLED_RIM: { fill: BAG, other: 'M7 5H33V12H7Z' },
  UNLINED: { fill: BAG },

  SOFT: { fill: 'M8 8Q20 12 32 8Q29 18 32 27Q20 24 8 27Q11 18 8 8Z' },
  FUSED: { fill: PANEL, other: 'M11 8H29V23H11Z' },
  FUSED_TO_EDGE: { other: PANEL, line: PANEL },
  BASTED: { other: PANEL, stitch: 'M9 6H31V25H9Z' },
  FOAM: { fill: PANEL, other: 'M11 8H29V23H11Z', line: 'M14 11h1M19 14h1M24 11h1M16 18h1M22 19h1M27 17h1' },
  QUILTED: { fill: PANEL, stitch: 'M7 4L30 27M20 4L33 17M7 17L17 27M33 4L10 27M20 4L7 17M33 17L23 27' },

  NO_POCKET: { fill: BAG },
  SLIP_POCKET: { fill: BAG, other: 'M12 14H28V23H12Z', stitch: 'M20 14V23' },
  FOLDED_POCKET: { fill: BAG, other: 'M12 14H28V23H12Z', line: 'M12 16H28' },
  ELASTIC_POCKET: { fill: BAG, other: 'M13 14Q16 16 20 14Q24 16 27 14L29 23H11Z' },
  ZIP_POCKET: { fill: BAG, line: 'M12 14H28V17H12Z', stitch: 'M13 15.5H27' },

  OPEN: { fill: BAG, line: 'M8 8Q20 13 32 8' },
  SNAP: { fill: BAG, line: 'M20 12m-3 0a3 3 0 1 0 6 0a3 3 0 1 0-6 0' },
  MAGNET: { fill: BAG, other: 'M16 11H24V15H16Z' },
  LOCK: { fill: BAG, other: 'M17 10H23V18H17Z', line: 'M18 10V7H22V10' },
  TIES: { fill: BAG, line: 'M32 15Q38 10 37 17Q36 20 32 17Q38 22 35 27M32 16Q28 22 30 27' },
  DRAWCORD: { fill: BAG, stitch: 'M8 12H32M8 15H32', line: 'M32 13.5Q37 14 35 22' },

  ROUND_FLAP: { fill: BAG, other: 'M8 8H32V16Q32 21 27 21H13Q8 21 8 16Z' },
  STRAIGHT_FLAP: { fill: BAG, other: 'M8 8H32V21H8Z' },
  SLANTED_FLAP: { fill: BAG, other: 'M8 8H32V14L25 21H15L8 14Z' },

  PLEATED_SLOTS: { fill: PANEL, line: 'M7 10H33M7 15H33M7 20H33', stitch: 'M20 10V27' },
  STACKED_SLOTS: { fill: PANEL, other: 'M7 12H33V27H7Z', line: 'M7 17H33M7 22H33' },
  DIVIDED_SLOTS: { fill: PANEL, other: 'M7 14H33V27H7Z', stitch: 'M14 14V27M20 14V27M26 14V27' },

  ONE_CORD: { fill: BAG, stitch: 'M8 12H32M8 15H32', line: 'M32 13.5Q37 14 35 22' },
  TWO_CORDS: { fill: BAG, stitch: 'M8 12H32M8 15H32', line: 'M32 13.5Q37 14 35 22M8 13.5Q3 14 5 22' },

  NO_HANDLE: { fill: 'M8 13H32V27H8Z' },
  FOUR_FOLD_HANDLES: { fill: 'M4 11H36V19H4Z', line: 'M4 13H36M4 15H36M4 17H36' },
  TUBE_HANDLES: { fill: 'M4 11H33Q37 15 33 19H4Z', line: 'M33 11Q29 15 33 19' },
  CENTRED_HANDLES: { fill: 'M4 9H36V21H4Z', line: 'M4 15H36', stitch: 'M4 11H36M4 19H36' },
  WEBBING_HANDLES: {
    fill: 'M4 11H36V19H4Z',
    line: 'M7 11V19M11 11V19M15 11V19M19 11V19M23 11V19M27 11V19M31 11V19',
  },

  TWO_HANDLES: { fill: 'M8 15H32V28H8Z', line: 'M13 15Q13 5 20 5Q27 5 27 15M15 17Q15 8 20 8Q25 8 25 17' },
  ONE_HANDLE: { fill: 'M8 15H32V28H8Z', line: 'M9 15Q9 4 20 4Q31 4 31 15' },

  NO_STRAP: { fill: 'M8 13H32V27H8Z' },
  FOUR_FOLD_STRAP: { fill: 'M4 11H36V19H4Z', line: 'M4 13H36M4 15H36M4 17H36' },
  FACED_STRAP: { fill: 'M4 12H36V20H4Z', other: 'M6 9H38V12H6Z', stitch: 'M5 14H35M5 18H35' },
  ONE_LAYER_STRAP: { other: 'M4 12H36V18H4Z' },
  WEBBING_STRAP: {
    fill: 'M4 11H36V19H4Z',
    line: 'M7 11V19M11 11V19M15 11V19M19 11V19M23 11V19M27 11V19M31 11V19',
  },
  WRIST_STRAP: { fill: 'M20 9H36V25H20Z', line: 'M20 12Q6 10 7 19Q8 26 20 15' },

  BEADS: {
    fill: PANEL,
    line: 'M13 20a2 2 0 1 0 .1 0M20 22a2 2 0 1 0 .1 0M27 20a2 2 0 1 0 .1 0M16 15a2 2 0 1 0 .1 0M24 15a2 2 0 1 0 .1 0',
  },
  NUT_SHELLS: {
    fill: PANEL,
    line: 'M12 21Q14 17 17 21ZM19 23Q22 19 25 23ZM22 17Q25 13 28 17ZM13 15Q16 11 18 15Z',
  },
  WADDING: { fill: 'M8 8Q20 2 32 8Q37 17 32 25Q20 30 8 25Q3 17 8 8Z' },

  NO_LOOP: { fill: BAG },
  SIDE_LOOP: { fill: 'M12 8H36V27H12Z', line: 'M12 12H6Q3 14 6 16H12' },

  FRONT_LABEL: { fill: BAG, other: 'M19 18H28V23H19Z' },
  SEAM_LABEL: { fill: 'M6 8H30V27H6Z', other: 'M30 15H36V21H30Z' },
  INSIDE_LABEL: { fill: BAG, line: 'M8 8Q20 14 32 8', other: 'M16 6H24V10H16Z' },
  NO_LABEL: { fill: BAG },
};

/** What a way of making looks like. */
export function OptionDrawing({ option }: { option: Option }) {
  const { fill, line, stitch, other } = DRAWINGS[option];
  return (
    <svg
      width="44"
      height="34"
      viewBox="0 0 40 31"
      className="mx-auto block"
      stroke="#14242d"
      strokeWidth="1.2"
      strokeLinejoin="round"
      aria-hidden
    >
      {fill && <path d={fill} fill="#fff" />}
      {other && <path d={other} fill="#cfdde2" />}
      {line && <path d={line} fill="none" />}
      {stitch && <path d={stitch} fill="none" strokeDasharray="2.4 1.8" />}
    </svg>
  );
}
