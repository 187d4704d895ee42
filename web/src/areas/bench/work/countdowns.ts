import { uuid } from '../../../ui/uuid';
import { useCallback, useEffect, useState } from 'react';

/** Something that is held or waits: a press that is down, glue that dries. Several run at once, whatever else is done. */
export interface Countdown {
  id: string;
  what: string;
  seconds: number;
  /** Which time it is, from 1. */
  round: number;
  times: number;
  /** When it is over, by the browser's clock. */
  endsAt: number;
  /** It was told that it is over. */
  told?: boolean;
}

const STORED = 'mardun.countdowns';
const SHOWN_EVERY = 250;
/** What was over for so long is over and done. */
const FORGOTTEN = 6 * 3_600_000;

/** What is left of it, in milliseconds; never more than it is in all, also where the browser's clock was set back. */
export const remaining = (one: Countdown, now: number) =>
  Math.max(0, Math.min(one.endsAt - now, one.seconds * 1000));

/** The same once more, as the next time. */
export const onceMore = (one: Countdown, now: number): Countdown => ({
  ...one,
  round: one.round + 1,
  endsAt: now + one.seconds * 1000,
  told: false,
});

function stored(now: number): Countdown[] {
  try {
    const all = JSON.parse(localStorage.getItem(STORED) ?? '[]') as Countdown[];
    return all.filter((one) => now - one.endsAt < FORGOTTEN);
  } catch {
    return [];
  }
}

/** Two short tones, where the browser can. */
function ring() {
  try {
    const audio = new AudioContext();
    [0, 0.3].forEach((at) => {
      const tone = audio.createOscillator();
      const loud = audio.createGain();
      loud.gain.value = 0.2;
      tone.frequency.value = 880;
      tone.connect(loud).connect(audio.destination);
      tone.start(audio.currentTime + at);
      tone.stop(audio.currentTime + at + 0.18);
    });
    window.setTimeout(() => void audio.close(), 1_000);
  } catch {
    // Without sound the screen says it alone.
  }
}

/** The countdowns that run; they outlive the page. */
export function useCountdowns() {
  const [all, setAll] = useState(() => stored(Date.now()));
  const [now, setNow] = useState(() => Date.now());

  const change = useCallback((next: (before: Countdown[]) => Countdown[]) => {
    setNow(Date.now());
    setAll((before) => {
      const after = next(before);
      if (after !== before) localStorage.setItem(STORED, JSON.stringify(after));
      return after;
    });
  }, []);

  const any = all.length > 0;
  useEffect(() => {
    if (!any) return;
    const show = window.setInterval(() => {
      const at = Date.now();
      setNow(at);
      change((before) => {
        const over = before.filter((one) => !one.told && remaining(one, at) === 0);
        if (over.length === 0) return before;
        ring();
        return before.map((one) => (over.includes(one) ? { ...one, told: true } : one));
      });
    }, SHOWN_EVERY);
    return () => window.clearInterval(show);
  }, [any, change]);

  return {
    all,
    now,
    start: (what: string, seconds: number, times: number) =>
      change((before) => [
        ...before.filter((one) => one.what !== what),
        {
          id: uuid(),
          what,
          seconds,
          round: 1,
          times,
          endsAt: Date.now() + seconds * 1000,
        },
      ]),
    again: (id: string) =>
      change((before) => before.map((one) => (one.id === id ? onceMore(one, Date.now()) : one))),
    stop: (id: string) => change((before) => before.filter((one) => one.id !== id)),
  };
}
