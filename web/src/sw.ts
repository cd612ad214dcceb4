/// <reference lib="webworker" />
import { cleanupOutdatedCaches, precacheAndRoute } from 'workbox-precaching'
import { NavigationRoute, registerRoute } from 'workbox-routing'
import { NetworkFirst } from 'workbox-strategies'

/** The page opens without the server: its files are kept, and its one HTML is taken from the network while that answers. */
declare const self: ServiceWorkerGlobalScope
const PAGE = 'fervens-page'

precacheAndRoute(self.__WB_MANIFEST)
cleanupOutdatedCaches()
registerRoute(
  new NavigationRoute(
    new NetworkFirst({
      cacheName: PAGE,
      networkTimeoutSeconds: 4,
      plugins: [{ cacheKeyWillBeUsed: () => Promise.resolve('/') }],
    }),
    { denylist: [/^\/api\//, /^\/admin\//, /^\/static\//] },
  ),
)
self.addEventListener('install', (event) => {
  event.waitUntil(caches.open(PAGE).then((cache) => cache.add('/')))
  void self.skipWaiting()
})
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()))
