/**
 * Lets this device keep the Stand’s page and the parts it has loaded, so that it opens while the studio’s computer is
 * away. Browsers do this on this computer and over https only; elsewhere nothing changes.
 */
export async function keepPage(): Promise<void> {
  if (!('serviceWorker' in navigator)) return;
  await navigator.serviceWorker.register('/stand-keeper.js', { scope: '/quilts/' });
  const { active } = await navigator.serviceWorker.ready;
  const parts = performance
    .getEntriesByType('resource')
    .map((r) => r.name)
    .filter((name) => name.includes('/_next/static/'));
  // The words the kept worker’s router listens to.
  active?.postMessage({
    type: 'CACHE_URLS',
    payload: { urlsToCache: [location.pathname, ...new Set(parts)] },
  });
}
