/**
 * A change that was made to what was drawn, made to what is there by now: two may come before the page is drawn anew. What both changed
 * becomes what the later one wants.
 */
export function rebased<T>(latest: T, drawn: T, next: T): T {
  if (next === drawn) return latest;
  if (latest === drawn) return next;
  if (Array.isArray(next) && Array.isArray(drawn) && Array.isArray(latest)) {
    return next.length === drawn.length && drawn.length === latest.length
      ? (next.map((item, i) => rebased<unknown>(latest[i], drawn[i], item)) as T)
      : next;
  }
  if (isRecord(next) && isRecord(drawn) && isRecord(latest)) {
    const keys = Object.keys({ ...latest, ...next });
    return Object.fromEntries(keys.map((key) => [key, rebased(latest[key], drawn[key], next[key])])) as T;
  }
  return next;
}

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
