import { api, Problem } from '../../../api/client';
import { kept, type WorkView } from './kept';

const AT_ONCE = 200;

/** Sends what was touched at the bench and waits in this browser, wherever one is by now. What is sent twice is kept once. */
export async function sendWaiting() {
  const store = await kept();
  try {
    for (;;) {
      const waiting = (await store.entries()).slice(0, AT_ONCE);
      const first = waiting[0];
      if (!first) return;
      const entries = waiting.map(({ entry }) => entry);
      await api.post<WorkView>('/api/bench/work', { batchId: first.entry.batchId, entries });
      await store.remove(waiting);
    }
  } catch (failure) {
    // It waits on; the bench says so when it is opened.
    if (!(failure instanceof Problem)) throw failure;
  }
}
