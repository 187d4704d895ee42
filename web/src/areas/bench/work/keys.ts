/** What can be done with a key at the bench. */
export type Act =
  'clock' | 'one' | 'five' | 'back' | 'check' | 'slip' | 'note' | 'next' | 'previous' | 'list';

export const ACTS: Record<Act, string> = {
  clock: 'Start and pause the clock',
  one: 'Count one',
  five: 'Count five',
  back: 'Take the last count back',
  check: 'Tick what comes next within the step',
  slip: 'Something went wrong',
  note: 'Note something for next time',
  next: 'The next operation',
  previous: 'The one before',
  list: 'The whole list',
};

export const USUAL: Record<Act, string> = {
  clock: 'Space',
  one: 'Enter',
  five: 'Shift+Enter',
  back: 'z',
  check: 'c',
  slip: 'x',
  note: 'n',
  next: 'ArrowRight',
  previous: 'ArrowLeft',
  list: 'l',
};

const STORED = 'mardun.bench-keys';

export function benchKeys(): Record<Act, string> {
  try {
    return {
      ...USUAL,
      ...(JSON.parse(localStorage.getItem(STORED) ?? '{}') as Partial<Record<Act, string>>),
    };
  } catch {
    return USUAL;
  }
}

export const keepBenchKeys = (keys: Record<Act, string>) =>
  localStorage.setItem(STORED, JSON.stringify(keys));

/** A key that was pressed, as it is written and compared: `Shift+Enter`. */
export function keyName(event: Pick<KeyboardEvent, 'key' | 'shiftKey'>) {
  const key = event.key === ' ' ? 'Space' : event.key.length === 1 ? event.key.toLowerCase() : event.key;
  return event.shiftKey && event.key.length > 1 ? `Shift+${key}` : key;
}

const SHOWN: Record<string, string> = { ArrowRight: '→', ArrowLeft: '←', ' ': 'Space' };

export const keyWords = (key: string) => SHOWN[key] ?? (key.length === 1 ? key.toUpperCase() : key);
