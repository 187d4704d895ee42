import { useEffect, useState } from 'react';

/**
 * The value once it has stood still for a moment. What counts is what it says, so that a form that is put together anew each time
 * the page is drawn stands still too.
 */
export function useSettled<T>(value: T, milliseconds: number) {
  const [settled, setSettled] = useState(value);
  const says = JSON.stringify(value);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(JSON.parse(says) as T), milliseconds);
    return () => clearTimeout(timer);
  }, [says, milliseconds]);
  return settled;
}
