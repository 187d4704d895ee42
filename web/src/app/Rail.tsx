import { NavLink } from 'react-router';
import { isPlaceOf, useRole } from './useRole';

const PLACES = [
  { to: '/bench', name: 'Bench', path: 'M3 18h18M5 18V9h14v9M9 9V5h6v4' },
  { to: '/designs', name: 'Designs', path: 'M4 4h10l6 6v10H4zM14 4v6h6' },
  { to: '/materials', name: 'Materials', path: 'M6 4h12v16H6zM6 9h12M6 14h12' },
  { to: '/batches', name: 'Batches', path: 'M4 7h16M4 12h16M4 17h16' },
  { to: '/prices', name: 'Prices', path: 'M4 12V5h7l9 9l-7 7zM8 9h.01' },
  { to: '/stalls', name: 'Stalls', path: 'M3 9l2-5h14l2 5M4 9v11M20 9v11M3 9h18M4 15h16' },
  { to: '/logbook', name: 'Logbook', path: 'M5 4h13v16H5zM9 4v16M12 9h4M12 13h4' },
];

const BELOW = [
  {
    to: '/help',
    name: 'Rules',
    path: 'M5 4h6a2 2 0 0 1 1 .5A2 2 0 0 1 13 4h6v14h-6a1.5 1.5 0 0 0-1 .5a1.5 1.5 0 0 0-1-.5H5zM12 4.5v14',
  },
  {
    to: '/settings',
    name: 'Settings',
    path: 'M12 9a3 3 0 1 0 0 6a3 3 0 0 0 0-6M12 3v4M12 17v4M3 12h4M17 12h4',
  },
];

/** The places, in the order of the work; on a phone below the page. The stitched edge marks where one is. */
export function Rail() {
  const role = useRole();
  return (
    <nav
      aria-label="Places"
      className="flex flex-col bg-ink pt-3.5 pb-2.5 text-rail max-sm:order-last max-sm:flex-row max-sm:overflow-x-auto max-sm:py-0"
    >
      <b className="mb-3.5 text-center text-[17px] tracking-wide text-white max-sm:hidden">Mardun</b>
      {PLACES.filter(({ to }) => isPlaceOf(role, to)).map((place) => (
        <Place key={place.to} {...place} />
      ))}
      <div className="mt-auto max-sm:mt-0 max-sm:flex">
        {BELOW.filter(({ to }) => isPlaceOf(role, to)).map((place) => (
          <Place key={place.to} {...place} />
        ))}
      </div>
    </nav>
  );
}

function Place({ to, name, path }: { to: string; name: string; path: string }) {
  return (
    <NavLink
      to={to}
      className={({ isActive }) =>
        `relative flex flex-col items-center gap-1 py-[9px] text-[12.5px] hover:text-white focus-visible:outline-yellow max-sm:min-w-[55px] max-sm:flex-1 max-sm:gap-0.5 max-sm:py-2 max-sm:text-[11px] ${
          isActive
            ? 'text-white before:absolute before:inset-y-1.5 before:left-0 before:border-l-4 before:border-dashed before:border-yellow max-sm:before:inset-x-1.5 max-sm:before:top-0 max-sm:before:bottom-auto max-sm:before:border-t-4 max-sm:before:border-l-0'
            : 'text-[#c2d0d1]'
        }`
      }
    >
      <svg
        viewBox="0 0 24 24"
        className="size-[22px]"
        aria-hidden
        fill="none"
        stroke="currentColor"
        strokeWidth="1.7"
      >
        <path d={path} />
      </svg>
      {name}
    </NavLink>
  );
}
