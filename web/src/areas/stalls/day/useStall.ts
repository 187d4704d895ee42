import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { api, Problem } from '../../../api/client';
import { keys } from '../../../api/queries';
import { kept, send, type Waiting } from './outbox';
import type { Entry, StallView } from './reckon';
import type { Schemas } from '../../../api/client';

const SOON = 250;
const NOW_AND_THEN = 5_000;

/** How a stall stands, and the door through which touches go: shown at once, kept in the browser, sent when the server is there. */
export function useStall(fairId: number) {
  const [view, setView] = useState<StallView>();
  const [unsent, setUnsent] = useState<Waiting[]>([]);
  const [problem, setProblem] = useState<Problem>();
  /** Touched and shown, and not in the browser's store yet. */
  const [writing, setWriting] = useState<Entry[]>([]);
  /** Touched on this page and known to the server. */
  const [told, setTold] = useState<Entry[]>([]);
  const busy = useRef(false);
  const again = useRef(false);
  const timer = useRef<number>(undefined);
  const client = useQueryClient();

  const refresh = useCallback(async () => {
    if (busy.current) {
      again.current = true;
      return;
    }
    busy.current = true;
    try {
      do {
        again.current = false;
        const { view: next, sent } = await send(fairId);
        const waiting = (await (await kept()).entries()).filter((one) => one.fairId === fairId);
        setView(next);
        setUnsent(waiting);
        setTold((before) => [...before, ...sent.map(({ entry }) => entry)]);
        setProblem(undefined);
        if (sent.length > 0) {
          void client.invalidateQueries({ queryKey: keys.fairs });
          void client.invalidateQueries({ queryKey: keys.finishedGoods });
        }
      } while (again.current);
    } catch (failure) {
      if (!(failure instanceof Problem)) throw failure;
      setProblem(failure);
      const [cached, waiting] = [await (await kept()).view(fairId), await (await kept()).entries()];
      setView((before) => before ?? cached);
      setUnsent(waiting.filter((one) => one.fairId === fairId));
    } finally {
      busy.current = false;
    }
  }, [fairId, client]);

  useEffect(() => {
    const first = window.setTimeout(() => void refresh());
    const often = window.setInterval(() => void refresh(), NOW_AND_THEN);
    const back = () => void refresh();
    window.addEventListener('online', back);
    return () => {
      window.clearTimeout(first);
      window.clearInterval(often);
      window.clearTimeout(timer.current);
      window.removeEventListener('online', back);
    };
  }, [refresh]);

  /** Takes what was touched: it is shown at once and kept before anything else. */
  const tell = useCallback(
    async (...entries: Entry[]) => {
      setWriting((before) => [...before, ...entries]);
      const added = await (await kept()).add(fairId, entries);
      setUnsent((before) => [
        ...before,
        ...added.filter((one) => !before.some((other) => other.seq === one.seq)),
      ]);
      setWriting((before) => before.filter((one) => !entries.includes(one)));
      window.clearTimeout(timer.current);
      timer.current = window.setTimeout(() => void refresh(), SOON);
    },
    [fairId, refresh],
  );

  const answer = useCallback(
    async (form: Schemas['AnswerForm']) => {
      try {
        setView(await api.put<StallView>(`/api/fairs/${fairId}/stall/answers`, form));
      } catch (failure) {
        if (!(failure instanceof Problem)) throw failure;
        setProblem(failure);
      }
    },
    [fairId],
  );

  const stored = unsent.map(({ entry }) => entry);
  return {
    view,
    unsent: [...stored, ...writing.filter((one) => !stored.some((other) => other.id === one.id))],
    told,
    problem,
    tell,
    answer,
  };
}
