// Keeps the interface in the browser, so that the bench opens again while the server is away. What it shows of the workroom it keeps itself.
const KEPT = 'mardun-interface';
const PAGE = '/index.html';
const PATIENCE = 3000;

/** All files of the interface as it is now; those of the one before go. */
async function keepAll() {
  const answer = await fetch('/assets-list.json', { cache: 'no-store' });
  if (!answer.ok) return;
  const entries = Object.values(await answer.json());
  const files = new Set(
    entries
      .flatMap((entry) => [entry.file, ...(entry.css ?? []), ...(entry.assets ?? [])])
      .map((file) => `/${file}`),
  );
  const cache = await caches.open(KEPT);
  const there = new Set((await cache.keys()).map((request) => new URL(request.url).pathname));
  await cache.addAll([PAGE, '/favicon.svg', ...[...files].filter((file) => !there.has(file))]);
  await Promise.all(
    [...there]
      .filter((file) => file.startsWith('/assets/') && !files.has(file))
      .map((file) => cache.delete(file)),
  );
}

self.addEventListener('install', (event) => {
  event.waitUntil(keepAll().then(() => self.skipWaiting()));
});
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));
self.addEventListener('message', (event) => {
  if (event.data === 'keep') event.waitUntil(keepAll().catch(() => undefined));
});

/** The page from the server, or as it was kept where that doesn't answer soon. */
async function page(request) {
  const late = new Promise((_, reject) => setTimeout(() => reject(new Error('late')), PATIENCE));
  try {
    return await Promise.race([fetch(request), late]);
  } catch {
    const kept = await caches.match(PAGE);
    return kept ?? fetch(request);
  }
}

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== 'GET' || url.origin !== self.location.origin) return;
  if (request.mode === 'navigate' && !url.pathname.startsWith('/api/')) {
    event.respondWith(page(request));
  } else if (url.pathname.startsWith('/assets/') || url.pathname === '/favicon.svg') {
    event.respondWith(caches.match(request).then((kept) => kept ?? fetch(request)));
  }
});
