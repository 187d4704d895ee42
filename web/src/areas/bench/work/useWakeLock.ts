import { useEffect } from 'react';

/** Keeps the screen awake while something is timed, where the browser can. */
export function useWakeLock(wanted: boolean) {
  useEffect(() => {
    if (!wanted || !('wakeLock' in navigator)) return;
    let lock: WakeLockSentinel | undefined;
    let over = false;
    const ask = () => {
      if (document.visibilityState !== 'visible') return;
      navigator.wakeLock.request('screen').then(
        (got) => {
          if (over) void got.release();
          else lock = got;
        },
        // The battery is low, or the browser doesn't allow it: the screen goes dark as it always does.
        () => undefined,
      );
    };
    ask();
    document.addEventListener('visibilitychange', ask);
    return () => {
      over = true;
      document.removeEventListener('visibilitychange', ask);
      void lock?.release();
    };
  }, [wanted]);
}
