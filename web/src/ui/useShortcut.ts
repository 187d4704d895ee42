import { useEffect, useEffectEvent } from 'react';

const SWITCH = 'mardun.shortcuts';

export const shortcutsAreOn = () => localStorage.getItem(SWITCH) !== 'off';

export const switchShortcuts = (on: boolean) => localStorage.setItem(SWITCH, on ? 'on' : 'off');

/** Does something on a single key, unless a field, a button or an open panel has the focus. */
export function useShortcut(key: string, action: () => void) {
  const act = useEffectEvent(action);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key.toLowerCase() !== key || event.ctrlKey || event.metaKey || event.altKey) return;
      if (key !== '?' && !shortcutsAreOn()) return;
      const focused = event.target as HTMLElement;
      if (focused.closest('input, select, textarea, [role="dialog"], [contenteditable]')) return;
      event.preventDefault();
      act();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [key]);
}
