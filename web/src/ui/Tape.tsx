import { useNavigate } from 'react-router';
import type { Schemas } from '../api/client';
import { day, dayOfMonth, daysBetween, isWeekend, weekday } from './units';

type TapeView = Schemas['TapeView'];

const WIDE = 1188;
const START = 34;
const TOP = 40;
const HEIGHT = 84;
const FILLS = ['url(#hatch-outer)', 'url(#hatch-lining)', 'url(#hatch-tab)', 'url(#hatch-interfacing)'];

/** So much of a day is needed for its name, and for its hours. */
const ROOM_FOR_NAME = 62;
const ROOM_FOR_HOURS = 38;

/**
 * The tailor's tape: days as its marks, fairs and due days pinned to it, planned work lying on it. Work that isn't kept yet stands out.
 * Drawn for so many pixels; where they are few for the days, these go by their number alone.
 */
export function Tape({ tape, today, width = WIDE }: { tape: TapeView; today: string; width?: number }) {
  const navigate = useNavigate();
  const perDay = (width - START - 16) / tape.days.length;
  const at = (days: number) => START + days * perDay;
  const fills = new Map<number, string>();
  tape.laid.forEach((laid) => {
    if (laid.batchId && !fills.has(laid.batchId))
      fills.set(laid.batchId, FILLS[fills.size % FILLS.length] ?? '');
  });
  const several = tape.laid.some((laid) => laid.worker > 1);
  const pins = [...tape.pins].sort((a, b) => a.date.localeCompare(b.date));
  return (
    <>
      <svg
        viewBox={`0 0 ${width} ${TOP + HEIGHT + 4}`}
        className="block h-auto w-full"
        role="group"
        aria-label={`The tape: ${tape.pins.map((pin) => `${pin.label}, ${day(pin.date)}`).join('; ') || 'nothing pinned'}`}
      >
        <rect x="0" y={TOP} width={width} height={HEIGHT} fill="#fdf6dc" />
        <path d={`M0 ${TOP}H${width}M0 ${TOP + HEIGHT}H${width}`} stroke="#e3d49a" />
        <rect x="0" y={TOP - 2} width="22" height={HEIGHT + 4} rx="3" fill="#9aa7a8" />
        <rect x="5" y={TOP - 2} width="3" height={HEIGHT + 4} fill="#c3cccd" />
        <circle cx="15" cy={TOP + 42} r="3" fill="#5c6a6c" />
        {tape.days.map((d, i) => (
          <g key={d.date} fontSize="12.5" fill="#48595f">
            {isWeekend(d.date) && (
              <rect x={at(i)} y={TOP + 1} width={perDay} height={HEIGHT - 2} fill="#f5ebc4" />
            )}
            <path d={`M${at(i)} ${TOP}v${HEIGHT}`} stroke="#14242d" strokeWidth="1.4" />
            <path
              d={[0.25, 0.5, 0.75].map((q) => `M${at(i + q)} ${TOP}v${q === 0.5 ? 12 : 7}`).join('')}
              stroke="#14242d"
              strokeWidth=".9"
            />
            <a
              href={`/bench/days#${d.date}`}
              aria-label={`${day(d.date)}, what is done on that day`}
              onClick={(event) => {
                event.preventDefault();
                navigate(`/bench/days?days=14#${d.date}`);
              }}
            >
              <text x={at(i) + 6} y={TOP + 32} className="hover:underline">
                <tspan
                  fontSize={perDay < ROOM_FOR_NAME ? 14 : 17}
                  fontWeight="700"
                  fill={i === 0 ? '#1d5a85' : '#14242d'}
                >
                  {dayOfMonth(d.date)}
                </tspan>{' '}
                {perDay >= ROOM_FOR_NAME && (i === 0 ? 'today' : weekday(d.date))}
              </text>
            </a>
            {perDay >= ROOM_FOR_HOURS && (
              <text x={at(i) + 6} y={TOP + HEIGHT - 7}>
                {d.free.seconds === 0 ? '–' : shortHours(d.free.seconds)}
              </text>
            )}
          </g>
        ))}
        {tape.laid.map((laid, i) => {
          const wide = Math.max(4, (laid.to - laid.from) * perDay - 3);
          const room = Math.floor((wide - 14) / 7.1);
          const drawn = (
            <>
              <rect
                x={at(laid.from) + 1.5}
                y={TOP + 41 + (several && laid.worker === 2 ? 12 : 0)}
                width={wide}
                height={several ? 10 : 22}
                rx="3"
                fill={laid.batchId ? fills.get(laid.batchId) : 'var(--color-woad)'}
                stroke="#48595f"
                strokeWidth=".8"
              />
              {!several && room > 4 && (
                <>
                  <rect
                    x={at(laid.from) + 6}
                    y={TOP + 45}
                    width={Math.min(wide - 10, laid.label.length * 7.1 + 8)}
                    height="14"
                    rx="2"
                    fill="#fff"
                    fillOpacity=".92"
                  />
                  <text x={at(laid.from) + 10} y={TOP + 56} fontSize="12.5" fontWeight="600" fill="#14242d">
                    {laid.label.length > room ? `${laid.label.slice(0, room - 1)}…` : laid.label}
                  </text>
                </>
              )}
            </>
          );
          return laid.batchId ? (
            <a
              key={i}
              href={`/batches/${laid.batchId}`}
              aria-label={`${laid.label}, open the batch`}
              onClick={(event) => {
                event.preventDefault();
                navigate(`/batches/${laid.batchId}`);
              }}
            >
              {drawn}
            </a>
          ) : (
            <g key={i}>{drawn}</g>
          );
        })}
        {pins.map((pin, i) => {
          const x = at(daysBetween(today, pin.date) + 0.5);
          const next = pins[i + 1];
          const room = ((next ? daysBetween(pin.date, next.date) : 3) * perDay - 26) / 7.4;
          const label = pin.label.length > room ? `${pin.label.slice(0, Math.max(3, room - 1))}…` : pin.label;
          const fill = pin.kind === 'FAIR' ? '#a2382c' : '#6f5100';
          return (
            <g key={`${pin.kind}-${pin.label}-${pin.date}`}>
              <title>{`${pin.label}, ${day(pin.date)}`}</title>
              <path d={`M${x} 18V${TOP + 16}`} stroke="#48595f" strokeWidth="1.6" />
              <circle cx={x} cy="14" r="6.5" fill={fill} />
              <text x={x + 12} y="15" fontSize="14" fontWeight="700" fill="#14242d">
                {label}
              </text>
              <text x={x + 12} y="30" fontSize="12.5" fill="#48595f">
                {pin.kind === 'FAIR' ? 'fair' : 'due'}, {day(pin.date)}
              </text>
            </g>
          );
        })}
      </svg>
    </>
  );
}

function shortHours(seconds: number) {
  const halves = Math.round(seconds / 1800);
  const whole = Math.floor(halves / 2);
  return `${whole || ''}${halves % 2 ? '½' : ''} h`;
}
