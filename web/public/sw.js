// Keeps the pages themselves, so that a reload without the server still opens them. Data is never kept here.
const shell = 'open-trench-shell-1';

self.addEventListener('install', () => self.skipWaiting());
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));

// What the first page loaded before this took over.
self.addEventListener('message', (event) => {
  event.waitUntil(caches.open(shell).then((cache) => cache.addAll(event.data)));
});

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const { origin, pathname } = new URL(request.url);
  if (request.method !== 'GET' || origin !== self.location.origin || pathname.startsWith('/api/')) return;
  if (request.mode === 'navigate') event.respondWith(freshOrKept(request));
  else if (pathname.startsWith('/assets/')) event.respondWith(keptOrFresh(request));
});

async function freshOrKept(request) {
  const cache = await caches.open(shell);
  try {
    const page = await fetch(request);
    if (page.ok) await cache.put('/', page.clone());
    return page;
  } catch (error) {
    const kept = await cache.match('/');
    if (kept) return kept;
    throw error;
  }
}

// Built files carry a hash of their content in their names: a kept one is never stale.
async function keptOrFresh(request) {
  const cache = await caches.open(shell);
  const kept = await cache.match(request);
  if (kept) return kept;
  const file = await fetch(request);
  if (file.ok) await cache.put(request, file.clone());
  return file;
}
