import { useEffect, useEffectEvent } from 'react';

const SWITCH = 'mardun.shortcuts';

export const shortcutsAreOn = () => localStorage.getItem(SWITCH) !== 'off';

export const switchShortcuts = (on: boolean) => localStorage.setItem(SWITCH, on ? 'on' : 'off');

/** Does something on a single key, once however long it is held, unless a field or an open panel has the focus. */
export function useShortcut(key: string, action: () => void) {
  const act = useEffectEvent(action);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.repeat || event.key.toLowerCase() !== key || event.ctrlKey || event.metaKey || event.altKey)
        return;
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
