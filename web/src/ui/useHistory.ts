import { useEffect, useEffectEvent, useState } from 'react';

const TYPING_PAUSE = 700;
const MOST_STEPS = 200;

interface History<T> {
  past: T[];
  future: T[];
  at: number;
}

const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  target.closest('input:not([type="checkbox"]):not([type="radio"]), textarea, [contenteditable]') !== null;

/**
 * Undo and redo for something that is edited: typing without a pause is one step. Ctrl+Z and Ctrl+Shift+Z work wherever no
 * text is being typed; in a text field they are the field's own.
 */
export function useHistory<T>(value: T, change: (next: T) => void) {
  const [history, setHistory] = useState<History<T>>({ past: [], future: [], at: 0 });
  const undo = () => {
    const last = history.past[history.past.length - 1];
    if (last === undefined) return;
    setHistory({ past: history.past.slice(0, -1), future: [value, ...history.future], at: 0 });
    change(last);
  };
  const redo = () => {
    const next = history.future[0];
    if (next === undefined) return;
    setHistory({ past: [...history.past, value], future: history.future.slice(1), at: 0 });
    change(next);
  };
  const onKey = useEffectEvent((event: KeyboardEvent) => {
    if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z') return;
    if (isTyping(event.target)) return;
    event.preventDefault();
    if (event.shiftKey) redo();
    else undo();
  });
  useEffect(() => {
    const listener = (event: KeyboardEvent) => onKey(event);
    window.addEventListener('keydown', listener);
    return () => window.removeEventListener('keydown', listener);
  }, []);
  return {
    change: (next: T) => {
      const now = Date.now();
      setHistory(({ past, at }) => ({
        past: now - at < TYPING_PAUSE && past.length > 0 ? past : [...past, value].slice(-MOST_STEPS),
        future: [],
        at: now,
      }));
      change(next);
    },
    undo,
    redo,
    forget: () => setHistory({ past: [], future: [], at: 0 }),
    canUndo: history.past.length > 0,
    canRedo: history.future.length > 0,
  };
}
