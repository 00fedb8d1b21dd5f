import '@testing-library/jest-dom';
import { configure } from '@testing-library/react';
import { TextDecoder, TextEncoder } from 'node:util';
import * as React from 'react';

/** What a real browser has and the simulated one lacks; and stand-ins for what only the running app can give. */

// A loaded machine draws slowly; a test waits, and no longer than it must.
configure({ asyncUtilTimeout: 30_000, defaultHidden: true });

class Watcher {
  observe() {}
  unobserve() {}
  disconnect() {}
}

Object.assign(globalThis, {
  ResizeObserver: Watcher,
  IntersectionObserver: Watcher,
  TextEncoder,
  TextDecoder,
  structuredClone: globalThis.structuredClone ?? ((x: unknown) => JSON.parse(JSON.stringify(x)) as unknown),
});
/**
 * Asked for the style of an element, the simulated browser holds every rule it knows against it, for every name a test
 * looks something up by. What makes a difference here is its kind, and the styles given to it and above it.
 */
const styleOf = window.getComputedStyle.bind(window);
const known = new Map<string, CSSStyleDeclaration>();
const PLAIN = ['hidden', 'open', 'type', 'dir', 'style'] as const;
window.getComputedStyle = (element, pseudo) => {
  if (pseudo) return styleOf(element, pseudo);
  const key = [element.localName, element.isConnected, ...PLAIN.map((name) => element.getAttribute(name))];
  for (let above = element.parentElement; above; above = above.parentElement)
    if (above.hasAttribute('style')) key.push(above.getAttribute('style'));
  const said = key.join();
  const style = known.get(said) ?? styleOf(element);
  known.set(said, style);
  return style;
};
let nextKey = 0;
Object.defineProperty(globalThis.crypto, 'randomUUID', {
  configurable: true,
  value: () => `00000000-0000-4000-8000-${String(++nextKey).padStart(12, '0')}`,
});
Object.assign(window, {
  matchMedia: () => ({ matches: false, addEventListener() {}, removeEventListener() {} }),
});
Object.assign(window, { scrollTo() {} });
Object.assign(Element.prototype, {
  scrollIntoView() {},
  hasPointerCapture: () => false,
  setPointerCapture() {},
  releasePointerCapture() {},
});
// A list that draws only what is in sight needs to know how large that is.
for (const [name, value] of Object.entries({
  offsetWidth: 1240,
  offsetHeight: 560,
  clientWidth: 1240,
  clientHeight: 560,
}))
  Object.defineProperty(HTMLElement.prototype, name, { configurable: true, get: () => value });
Object.assign(URL, { createObjectURL: () => 'blob:drawn', revokeObjectURL() {} });

/** Where the page would go; tests read what was pushed. */
export const router = {
  push: jest.fn(),
  replace: jest.fn(),
  refresh: jest.fn(),
  back: jest.fn(),
  prefetch: jest.fn(),
};
jest.mock('next/navigation', () => ({
  useRouter: () => router,
  usePathname: () => '/',
  useSearchParams: () => new URLSearchParams(),
  notFound: () => {
    throw new Error('not found');
  },
}));

/** A chart is what it is called: the simulated browser draws none. */
jest.mock('react-chartjs-2', () => {
  const { createElement } = jest.requireActual<typeof React>('react');
  const Chart = ({ 'aria-label': label }: { 'aria-label': string }) =>
    createElement('div', { role: 'img', 'aria-label': label });
  return { Scatter: Chart, Line: Chart, Bar: Chart };
});

/** Every door answers that all is well, unless a test says otherwise. */
jest.mock('@/actions/doors', () => {
  const made = () =>
    new Proxy({} as Record<string, unknown>, {
      get: (known, name: string) => (known[name] ??= jest.fn(() => Promise.resolve({ ok: true, value: {} }))),
    });
  return { doors: made(), looks: made() };
});

beforeEach(() => {
  jest.clearAllMocks();
  localStorage.clear();
});

// React keeps where each element was made, a tenth of what a test of components costs; whoever looks for an owner asks
// for it with OWNERS=1. Where React has no such count any more nothing happens.
const counts = (React as unknown as Record<string, object | undefined>)[
  '__CLIENT_INTERNALS_DO_NOT_USE_OR_WARN_USERS_THEY_CANNOT_UPGRADE'
];
if (counts && 'recentlyCreatedOwnerStacks' in counts && !process.env.OWNERS)
  Object.defineProperty(counts, 'recentlyCreatedOwnerStacks', { get: () => Infinity, set() {} });

// The simulated browser has no console of its own for what a program got wrong.
globalThis.reportError ??= () => {};
