/**
 * Keeps the page itself in the browser, so that it opens while the server is away. Answers of the server are
 * none of its business: what of them is needed at the mill is kept by the page. The build puts in what the
 * page is made of.
 */
/** @type {{ name: string, files: string[] }} */
const page = __PAGE__;
const OURS = 'vuelta-page-';
/** A server that hangs is as good as one that is away. */
const PATIENCE_MS = 4000;

self.addEventListener('install', (event) => {
  const laid = caches.open(OURS + page.name).then((cache) => cache.addAll(page.files));
  event.waitUntil(laid.then(() => self.skipWaiting()));
});

self.addEventListener('activate', (event) => {
  const older = (name) => name.startsWith(OURS) && name !== OURS + page.name;
  const cleared = caches
    .keys()
    .then((names) => Promise.all(names.filter(older).map((name) => caches.delete(name))));
  event.waitUntil(cleared.then(() => self.clients.claim()));
});

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const { origin, pathname } = new URL(request.url);
  if (request.method !== 'GET' || origin !== self.location.origin || pathname.startsWith('/api/')) return;
  if (request.mode === 'navigate') {
    // what the server has is newer: the kept one is for when it does not answer
    // an older browser has no such clock, and waits as long as it does
    const fresh = fetch(request.url, { signal: AbortSignal.timeout?.(PATIENCE_MS) });
    event.respondWith(fresh.catch(async () => (await caches.match('/')) ?? Response.error()));
  } else if (page.files.includes(pathname)) {
    event.respondWith(caches.match(pathname).then((kept) => kept ?? fetch(request)));
  }
});
