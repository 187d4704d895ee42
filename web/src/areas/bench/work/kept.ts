import { uuid } from '../../../ui/uuid';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { Schemas } from '../../../api/client';

export type Entry = Schemas['LogEntry'];
export type WorkView = Schemas['WorkView'];

/** An entry that the server hasn't said it has, in the order in which it was touched. */
export interface KeptEntry {
  seq: number;
  entry: Entry;
}

/** What a clock runs for: a line's step at a place. All that is needed to tell its time, whatever else is known by then. */
export type Running = Pick<Entry, 'line' | 'step' | 'stepName' | 'place'>;

/** A clock as it was when it was last seen. */
export interface KeptClock {
  /** The tab that it runs in. */
  tab: string;
  /** By the browser's clock. */
  seen: number;
  phase: 'idle' | 'setting' | 'working' | 'paused';
  /** Milliseconds that no entry has told yet. */
  untold: number;
  /** What it runs for; absent for one that never ran. */
  of?: Running;
}

interface Schema extends DBSchema {
  entries: { key: number; value: { seq?: number; entry: Entry } };
  clocks: { key: number; value: KeptClock };
  views: { key: number; value: WorkView };
}

interface Store {
  entries(): Promise<KeptEntry[]>;
  add(entry: Entry): Promise<KeptEntry>;
  remove(entries: KeptEntry[]): Promise<unknown>;
  clock(batchId: number): Promise<KeptClock | undefined>;
  keepClock(batchId: number, clock: KeptClock): Promise<unknown>;
  view(batchId: number): Promise<WorkView | undefined>;
  keepView(view: WorkView): Promise<unknown>;
}

const inTheBrowser = (db: IDBPDatabase<Schema>): Store => ({
  entries: async () => (await db.getAll('entries')) as KeptEntry[],
  add: async (entry) => ({ seq: await db.add('entries', { entry }), entry }),
  remove: (entries) => {
    const transaction = db.transaction('entries', 'readwrite');
    return Promise.all([...entries.map(({ seq }) => transaction.store.delete(seq)), transaction.done]);
  },
  clock: (batchId) => db.get('clocks', batchId),
  keepClock: (batchId, clock) => db.put('clocks', clock, batchId),
  view: (batchId) => db.get('views', batchId),
  keepView: (view) => db.put('views', view, view.batchId),
});

/** Where the browser keeps nothing, such as in a private window: as long as the page is open. */
function inThePage(): Store {
  let entries: KeptEntry[] = [];
  let next = 1;
  const clocks = new Map<number, KeptClock>();
  const views = new Map<number, WorkView>();
  return {
    entries: async () => entries,
    add: async (entry) => {
      const one = { seq: next++, entry };
      entries = [...entries, one];
      return one;
    },
    remove: async (sent) => {
      entries = entries.filter((one) => !sent.includes(one));
    },
    clock: async (batchId) => clocks.get(batchId),
    keepClock: async (batchId, clock) => clocks.set(batchId, clock),
    view: async (batchId) => views.get(batchId),
    keepView: async (view) => views.set(view.batchId, view),
  };
}

let opened: Promise<Store> | undefined;

/** What is kept of the bench, whether the server answers or not. */
export const kept = () =>
  (opened ??= openDB<Schema>('mardun-bench', 1, {
    upgrade(db) {
      db.createObjectStore('entries', { keyPath: 'seq', autoIncrement: true });
      db.createObjectStore('clocks');
      db.createObjectStore('views');
    },
  }).then(inTheBrowser, inThePage));

/** This tab, also after it is loaded again. */
export function tabId() {
  const known = sessionStorage.getItem('mardun.tab');
  if (known) return known;
  const id = uuid();
  sessionStorage.setItem('mardun.tab', id);
  return id;
}
