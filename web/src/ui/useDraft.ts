import { useEffect, useState } from 'react';
import { rebased } from './rebased';

/** What is being edited, kept in this tab's store until it is saved or given up, so that nothing typed is lost. */
export function useDraft<T>(key: string, stored: T | undefined) {
  const [draft, setDraft] = useState<T | undefined>(() => {
    const kept = sessionStorage.getItem(key);
    return kept ? (JSON.parse(kept) as T) : undefined;
  });
  useEffect(() => {
    if (draft === undefined) sessionStorage.removeItem(key);
    else sessionStorage.setItem(key, JSON.stringify(draft));
  }, [key, draft]);
  return {
    value: draft ?? stored,
    isChanged: draft !== undefined,
    change: (next: T) => setDraft(next),
    /** Changes what stands there at that moment, also where something was typed since the page was drawn. */
    update: (next: (before: T) => T) =>
      setDraft((before) => {
        const now = before ?? stored;
        return now === undefined ? undefined : next(now);
      }),
    /**
     * What was sent is stored now, and needn't be kept here; what was typed on meanwhile stays, on top of what is stored.
     *
     * @param sent the draft as it stood when it was sent, with the version that it was read at
     */
    saved: (sent: T, now: T) =>
      setDraft((draft) =>
        draft === undefined || JSON.stringify(draft) === JSON.stringify(sent)
          ? undefined
          : rebased(now, sent, draft),
      ),
    giveUp: () => setDraft(undefined),
  };
}
