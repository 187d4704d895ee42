export type Role = 'OUTER' | 'LINING' | 'INTERFACING' | 'POCKET' | 'TAB' | 'STRAP' | 'ACCENT';

export const hatch = (role: Role) => `url(#hatch-${role.toLowerCase()})`;

/** The hatches of the pieces' roles, so that no role is known by its colour alone. */
export function Hatches() {
  return (
    <svg width="0" height="0" aria-hidden className="absolute">
      <defs>
        <pattern id="hatch-outer" width="6" height="6" patternUnits="userSpaceOnUse">
          <rect width="6" height="6" fill="#8fb6d3" />
        </pattern>
        <pattern
          id="hatch-lining"
          width="7"
          height="7"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect width="7" height="7" fill="#f3dfa0" />
          <line x1="0" y1="0" x2="0" y2="7" stroke="#b98f1c" strokeWidth="2.4" />
        </pattern>
        <pattern id="hatch-interfacing" width="7" height="7" patternUnits="userSpaceOnUse">
          <rect width="7" height="7" fill="#eef1f0" />
          <circle cx="3.5" cy="3.5" r="1.2" fill="#7c8f92" />
        </pattern>
        <pattern id="hatch-tab" width="6" height="6" patternUnits="userSpaceOnUse">
          <rect width="6" height="6" fill="#d9b1aa" />
          <path d="M0 3h6" stroke="#a2382c" strokeWidth="1.3" />
        </pattern>
        <pattern id="hatch-pocket" width="8" height="8" patternUnits="userSpaceOnUse">
          <rect width="8" height="8" fill="#c9dfd0" />
          <path d="M0 4h8M4 0v8" stroke="#2c6744" strokeWidth="0.9" />
        </pattern>
        <pattern id="hatch-strap" width="6" height="6" patternUnits="userSpaceOnUse">
          <rect width="6" height="6" fill="#d8d3e4" />
          <path d="M3 0v6" stroke="#5a4a80" strokeWidth="1.3" />
        </pattern>
        <pattern
          id="hatch-accent"
          width="8"
          height="8"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(-45)"
        >
          <rect width="8" height="8" fill="#f6d9c0" />
          <path d="M0 4h8" stroke="#a15b14" strokeWidth="1.6" strokeDasharray="4 2" />
        </pattern>
        <pattern
          id="striped"
          width="6"
          height="6"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect width="6" height="6" fill="#fae6e2" />
          <rect width="3" height="6" fill="#a2382c" />
        </pattern>
      </defs>
    </svg>
  );
}
