import { useState } from 'react';

/** What was known last: it stays while something else is asked for, and where that is refused. */
export function useLast<T>(value: T | undefined) {
  const [last, setLast] = useState(value);
  if (value !== undefined && value !== last) setLast(value);
  return value ?? last;
}
