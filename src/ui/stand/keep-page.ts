/**
 * Lets this device keep the Stand’s page and the parts it loads, so that it opens while the studio’s computer is away;
 * the answer ends the watch for more parts. Browsers do this on this computer and over https only; elsewhere nothing
 * changes.
 */
export function keepPage(): () => void {
  if (!('serviceWorker' in navigator)) return () => {};
  let watch: PerformanceObserver | null = null;
  let here = true;
  void navigator.serviceWorker
    .register('/stand-keeper.js', { scope: '/quilts/' })
    .then(() => navigator.serviceWorker.ready)
    .then(({ active }) => {
      // The words the kept worker’s router listens to; what it has it does not fetch again.
      const keep = (urlsToCache: string[]) =>
        urlsToCache.length > 0 && active?.postMessage({ type: 'CACHE_URLS', payload: { urlsToCache } });
      if (!here) return;
      keep([location.pathname]);
      // Parts may have come before the worker could see them, or be under way just now.
      watch = new PerformanceObserver((list) =>
        keep(
          list
            .getEntries()
            .map((e) => e.name)
            .filter((name) => name.includes('/_next/static/')),
        ),
      );
      watch.observe({ type: 'resource', buffered: true });
    })
    .catch(() => {
      // Not allowed here: the Stand works as before, while the computer answers.
    });
  return () => {
    here = false;
    watch?.disconnect();
  };
}
