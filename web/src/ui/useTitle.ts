import { useEffect } from 'react';

/** Names the browser's tab after what a screen shows, so that two tabs can be told apart. Nothing while it isn't known. */
export function useTitle(what: string | undefined) {
  useEffect(() => {
    if (what) document.title = `${what} · Mardun`;
  }, [what]);
}
