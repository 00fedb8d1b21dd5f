/// <reference lib="webworker" />
import { clientsClaim } from 'workbox-core';
import { CacheableResponsePlugin } from 'workbox-cacheable-response';
import { ExpirationPlugin } from 'workbox-expiration';
import { registerRoute } from 'workbox-routing';
import { CacheFirst, NetworkFirst } from 'workbox-strategies';

declare const self: ServiceWorkerGlobalScope;

// While the studio's computer is away, a reloaded Stand opens from what this device kept of it.
void self.skipWaiting();
clientsClaim();

const whole = new CacheableResponsePlugin({ statuses: [200] });

registerRoute(
  ({ url, request, sameOrigin }) =>
    sameOrigin && /^\/quilts\/[^/]+\/stand$/.test(url.pathname) && !request.headers.has('RSC'),
  new NetworkFirst({
    cacheName: 'stand-pages',
    networkTimeoutSeconds: 10,
    matchOptions: { ignoreSearch: true, ignoreVary: true },
    plugins: [whole, new ExpirationPlugin({ maxEntries: 10, purgeOnQuotaError: true })],
  }),
);
// Parts of the program carry their content in their name: what is kept is right for ever.
registerRoute(
  ({ url, sameOrigin }) => sameOrigin && url.pathname.startsWith('/_next/static/'),
  new CacheFirst({
    cacheName: 'stand-parts',
    plugins: [whole, new ExpirationPlugin({ maxEntries: 400, purgeOnQuotaError: true })],
  }),
);
