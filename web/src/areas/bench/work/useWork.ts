import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useLayoutEffect, useRef, useState } from 'react';
import { api, Problem } from '../../../api/client';
import { keys } from '../../../api/queries';
import { kept, type Entry, type KeptEntry, type WorkView } from './kept';

const SOON = 250;
const NOW_AND_THEN = 5_000;
const SEND_AT_ONCE = 200;

/** How a batch stands at the bench, and the door through which touches go: first to the browser's store, then to the server, once. */
export function useWork(batchId: number) {
  const [view, setView] = useState<WorkView>();
  const [unsent, setUnsent] = useState<KeptEntry[]>([]);
  const [problem, setProblem] = useState<Problem>();
  const [refused, setRefused] = useState<string[]>([]);
  const busy = useRef(false);
  const again = useRef(false);
  const timer = useRef<number>(undefined);
  /** What was touched and isn't on the screen yet. */
  const writing = useRef<Entry[]>([]);
  /** What the server has. */
  const known = useRef(new Set<string>());
  const client = useQueryClient();

  const send = useCallback(async () => {
    if (busy.current) {
      again.current = true;
      return;
    }
    busy.current = true;
    try {
      do {
        again.current = false;
        const waiting = (await (await kept()).entries()).slice(0, SEND_AT_ONCE);
        const next = await api.post<WorkView>('/api/bench/work', {
          batchId,
          entries: waiting.map(({ entry }) => entry),
        });
        await (await kept()).remove(waiting);
        await (await kept()).keepView(next);
        const sent = new Set(waiting.map(({ seq }) => seq));
        waiting.forEach(({ entry }) => known.current.add(entry.id));
        setView(next);
        setUnsent((before) => before.filter(({ seq }) => !sent.has(seq)));
        setProblem(undefined);
        if (next.refused.length > 0)
          setRefused((before) => [...before, ...next.refused.map((one) => one.reason)]);
        if (waiting.length > 0) {
          void client.invalidateQueries({ queryKey: keys.batches });
          void client.invalidateQueries({ queryKey: keys.bench });
        }
        again.current ||= waiting.length === SEND_AT_ONCE;
      } while (again.current);
    } catch (failure) {
      if (!(failure instanceof Problem)) throw failure;
      setProblem(failure);
      const [cached, waiting] = [await (await kept()).view(batchId), await (await kept()).entries()];
      setView((before) => before ?? cached);
      setUnsent((before) => [
        ...waiting,
        ...before.filter(({ seq }) => !waiting.some((one) => one.seq === seq)),
      ]);
    } finally {
      busy.current = false;
    }
  }, [batchId, client]);

  useEffect(() => {
    const first = window.setTimeout(() => void send());
    const often = window.setInterval(() => void send(), NOW_AND_THEN);
    const back = () => void send();
    window.addEventListener('online', back);
    return () => {
      window.clearTimeout(first);
      window.clearInterval(often);
      window.clearTimeout(timer.current);
      window.removeEventListener('online', back);
      // Who leaves the bench right after a touch needn't come back for it to be sent.
      void send();
    };
  }, [send]);

  // Whatever is drawn now counts what is unsent and what the server has.
  useLayoutEffect(() => {
    const drawn = new Set(unsent.map(({ entry }) => entry.id));
    writing.current = writing.current.filter(({ id }) => !drawn.has(id) && !known.current.has(id));
  }, [unsent, view]);

  /** Keeps what was touched; the screen changes when the browser has it. */
  const tell = useCallback(
    async (entry: Entry) => {
      writing.current = [...writing.current, entry];
      const one = await (await kept()).add(entry);
      setUnsent((before) => (before.some((other) => other.seq === one.seq) ? before : [...before, one]));
      window.clearTimeout(timer.current);
      timer.current = window.setTimeout(() => void send(), SOON);
    },
    [send],
  );

  return {
    view,
    unsent: unsent.map(({ entry }) => entry),
    problem,
    refused,
    tell,
    /** Asks how the batch stands now. */
    ask: useCallback(() => void send(), [send]),
    /** What was touched just now and isn't on the screen yet: of two quick touches the second has to know of the first. */
    writing: useCallback(() => writing.current, []),
  };
}
