import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { api, Problem } from '../../../api/client';
import { uuid } from '../../../ui/uuid';
import type { Entry, StallView } from './reckon';

/** Something that was touched at a stall and that the server hasn't said it has, in its order. */
export interface Waiting {
  seq: number;
  fairId: number;
  entry: Entry;
}

interface Schema extends DBSchema {
  entries: { key: number; value: { seq?: number; fairId: number; entry: Entry } };
  views: { key: number; value: StallView };
}

interface Store {
  entries(): Promise<Waiting[]>;
  add(fairId: number, entries: Entry[]): Promise<Waiting[]>;
  remove(waiting: Waiting[]): Promise<unknown>;
  view(fairId: number): Promise<StallView | undefined>;
  keepView(view: StallView): Promise<unknown>;
}

const inTheBrowser = (db: IDBPDatabase<Schema>): Store => ({
  entries: async () => (await db.getAll('entries')) as Waiting[],
  add: async (fairId, entries) => {
    const transaction = db.transaction('entries', 'readwrite');
    const added = await Promise.all(
      entries.map(async (entry) => ({ seq: await transaction.store.add({ fairId, entry }), fairId, entry })),
    );
    await transaction.done;
    return added;
  },
  remove: (waiting) => {
    const transaction = db.transaction('entries', 'readwrite');
    return Promise.all([...waiting.map(({ seq }) => transaction.store.delete(seq)), transaction.done]);
  },
  view: (fairId) => db.get('views', fairId),
  keepView: (view) => db.put('views', view, view.fairId),
});

/** Where the browser keeps nothing, such as in a private window: as long as the page is open. */
function inThePage(): Store {
  let all: Waiting[] = [];
  let next = 1;
  const views = new Map<number, StallView>();
  return {
    entries: async () => all,
    add: async (fairId, entries) => {
      const added = entries.map((entry) => ({ seq: next++, fairId, entry }));
      all = [...all, ...added];
      return added;
    },
    remove: async (sent) => {
      all = all.filter((one) => !sent.some(({ seq }) => seq === one.seq));
    },
    view: async (fairId) => views.get(fairId),
    keepView: async (view) => views.set(view.fairId, view),
  };
}

let opened: Promise<Store> | undefined;

/** What is kept of stalls, whether the server answers or not. */
export const kept = () => (opened ??= open().then(inTheBrowser, inThePage));

const open = async () =>
  openDB<Schema>('mardun-stall', 1, {
    upgrade(db) {
      db.createObjectStore('entries', { keyPath: 'seq', autoIncrement: true });
      db.createObjectStore('views');
    },
  });

/** This device, as the log of the stall knows it. */
export function device() {
  const known = localStorage.getItem('mardun.device');
  if (known) return known;
  const id = uuid();
  localStorage.setItem('mardun.device', id);
  return id;
}

const AT_ONCE = 200;

/** Sends what waits of a fair, in its order, and says how the stall stands then. What is sent twice is kept once. */
export async function send(fairId: number) {
  const store = await kept();
  for (;;) {
    const all = (await store.entries()).filter((one) => one.fairId === fairId);
    const waiting = all.slice(0, AT_ONCE);
    const view = await api.post<StallView>(`/api/fairs/${fairId}/stall`, {
      device: device(),
      entries: waiting.map(({ entry }) => entry),
    });
    await store.remove(waiting);
    await store.keepView(view);
    if (all.length <= waiting.length) return { view, sent: waiting };
  }
}

/** Sends what waits of every fair, wherever one is by now. */
export async function sendAll() {
  const fairs = new Set((await (await kept()).entries()).map(({ fairId }) => fairId));
  for (const fairId of fairs) {
    try {
      await send(fairId);
    } catch (failure) {
      // It waits on; the stall says so when it is opened.
      if (!(failure instanceof Problem)) throw failure;
    }
  }
}
