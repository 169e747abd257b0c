// Keeps the built application, so that it opens and works without a network. The build fills in version and files.
const VERSION = '__VERSION__';
const FILES = ['__FILES__'];
const CACHE = `green-kite-${VERSION}`;

self.addEventListener('install', (event) => {
  event.waitUntil(
    caches
      .open(CACHE)
      .then((cache) => cache.addAll(FILES))
      .then(() => self.skipWaiting()),
  );
});

self.addEventListener('activate', (event) => {
  event.waitUntil(
    caches
      .keys()
      .then((keys) => Promise.all(keys.filter((k) => k.startsWith('green-kite-') && k !== CACHE).map((k) => caches.delete(k))))
      .then(() => self.clients.claim()),
  );
});

self.addEventListener('fetch', (event) => {
  const url = new URL(event.request.url);
  if (event.request.method !== 'GET' || url.origin !== location.origin || url.pathname === '/healthz') return;
  // Addresses of the application are all its one page; hashed files come from the cache and never change.
  const key = event.request.mode === 'navigate' ? '/' : url.pathname;
  const fresh = () => fetch(event.request);
  event.respondWith(
    event.request.mode === 'navigate'
      ? fresh().catch(() => caches.match('/', { cacheName: CACHE }))
      : caches.match(key, { cacheName: CACHE }).then((found) => found ?? fresh()),
  );
});
