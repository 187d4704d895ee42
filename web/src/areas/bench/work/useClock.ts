import { useCallback, useEffect, useRef, useState } from 'react';
import { again, asKept, isRunning, STANDING, started, stopped, told, untold, type Clock } from './clock';
import { kept, tabId, type Running } from './kept';

const SEEN_EVERY = 2_000;
const SHOWN_EVERY = 250;

/** A clock that ran on for longer was forgotten. */
const A_DAY = 86_400_000;

const keepClock = async (batchId: number, clock: Clock) =>
  (await kept()).keepClock(batchId, asKept(clock, performance.now(), Date.now(), tabId()));

/** The clock of a batch; it outlives the page. */
export function useClock(batchId: number) {
  const [clock, setClock] = useState<Clock>(STANDING);
  const [shown, setShown] = useState(0);
  const now = useRef(clock);
  const ready = useRef(false);

  const change = useCallback(
    (next: Clock) => {
      now.current = next;
      setClock(next);
      setShown(untold(next, performance.now()));
      void keepClock(batchId, next);
    },
    [batchId],
  );

  useEffect(() => {
    let here = true;
    void kept()
      .then((store) => store.clock(batchId))
      .then((before) => {
        if (!here || ready.current) return;
        ready.current = true;
        const next = again(before, performance.now(), Date.now(), tabId());
        if (next !== STANDING) change(next);
      });
    return () => {
      here = false;
    };
  }, [batchId, change]);

  const running = isRunning(clock);
  useEffect(() => {
    if (!running) return;
    const show = window.setInterval(() => setShown(untold(now.current, performance.now())), SHOWN_EVERY);
    const keep = () => void keepClock(batchId, now.current);
    const see = window.setInterval(keep, SEEN_EVERY);
    window.addEventListener('pagehide', keep);
    return () => {
      window.clearInterval(show);
      window.clearInterval(see);
      window.removeEventListener('pagehide', keep);
    };
  }, [running, batchId]);

  /** Milliseconds that nothing has told yet. */
  const read = useCallback(() => Math.min(A_DAY, Math.round(untold(now.current, performance.now()))), []);
  const start = useCallback(
    (of: Running, phase: 'setting' | 'working') => change(started(now.current, of, phase, performance.now())),
    [change],
  );
  /** All that ran is told from here on; it goes on as work. */
  const tellAll = useCallback(
    () => change({ ...told(now.current, performance.now()), phase: 'working' }),
    [change],
  );
  const stop = useCallback(() => change(stopped(now.current)), [change]);

  return { clock, shown, read, start, tellAll, stop };
}
