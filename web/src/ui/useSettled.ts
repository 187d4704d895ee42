import { useEffect, useState } from 'react';

/** The value once it has stood still for a moment. */
export function useSettled<T>(value: T, milliseconds: number) {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(value), milliseconds);
    return () => clearTimeout(timer);
  }, [value, milliseconds]);
  return settled;
}
