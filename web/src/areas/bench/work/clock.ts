import type { KeptClock, Running } from './kept';

export type Phase = KeptClock['phase'];

/** The clock of an operation: how long it ran since something was last told, by the browser's steady clock. */
export interface Clock {
  phase: Phase;
  /** What it runs for; absent for one that never ran. */
  of?: Running;
  /** Milliseconds that no entry has told yet, without what runs now. */
  untold: number;
  /** When it began to run, by the steady clock; absent while it stands. */
  since?: number;
}

export const STANDING: Clock = { phase: 'idle', untold: 0 };

/** After a break as short as a reload a clock goes on as if there had been none. */
const A_RELOAD = 60_000;

/** As long as another tab showed its clock so lately, it runs there. */
const LATELY = 6_000;

export const isRunning = (clock: Clock) => clock.since !== undefined;

/** Milliseconds since something was last told. */
export const untold = (clock: Clock, now: number) =>
  clock.untold + (clock.since === undefined ? 0 : Math.max(0, now - clock.since));

/** Whether a clock runs for a line's step. */
export const isOf = (clock: Clock, { line, step }: Pick<Running, 'line' | 'step'>) =>
  clock.of?.line === line && clock.of.step === step;

export const started = (clock: Clock, of: Running, phase: 'setting' | 'working', now: number): Clock => ({
  phase,
  of,
  untold: isOf(clock, of) ? clock.untold : 0,
  since: now,
});

/** All of it was told; it goes on. */
export const told = (clock: Clock, now: number): Clock => ({
  ...clock,
  untold: 0,
  since: clock.since === undefined ? undefined : now,
});

export const stopped = (clock: Clock): Clock => ({ ...clock, phase: 'paused', untold: 0, since: undefined });

export const asKept = (clock: Clock, now: number, wall: number, tab: string): KeptClock => ({
  tab,
  seen: wall,
  phase: clock.phase,
  untold: untold(clock, now),
  of: clock.of,
});

/**
 * The clock of a page that was loaded again. After a moment it goes on, with that moment in it; after longer, or where the browser's clock
 * was set back, it stands with all that it had shown. Where it runs in another tab it isn't taken from there.
 */
export function again(from: KeptClock | undefined, now: number, wall: number, tab: string): Clock {
  if (!from) return STANDING;
  const gone = wall - from.seen;
  const ran = from.phase === 'working' || from.phase === 'setting';
  if (from.tab !== tab && ran && gone >= 0 && gone < LATELY) return STANDING;
  const base = { of: from.of, untold: from.untold };
  if (!ran) return { ...base, phase: from.phase };
  if (gone >= 0 && gone < A_RELOAD) return { ...base, phase: from.phase, since: now - gone };
  return { ...base, phase: 'paused' };
}

/** Minutes and seconds, and hours from one on. */
export function clockText(milliseconds: number) {
  const seconds = Math.floor(milliseconds / 1000);
  const [hours, minutes] = [Math.floor(seconds / 3600), Math.floor(seconds / 60) % 60];
  const two = (figure: number) => String(figure).padStart(2, '0');
  return `${hours > 0 ? `${hours}:${two(minutes)}` : minutes}:${two(seconds % 60)}`;
}
