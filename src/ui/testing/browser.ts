import '@testing-library/jest-dom';
import { TextDecoder, TextEncoder } from 'node:util';

/** What a real browser has and the simulated one lacks; and stand-ins for what only the running app can give. */

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
let nextKey = 0;
Object.defineProperty(globalThis.crypto, 'randomUUID', {
  configurable: true,
  value: () => `00000000-0000-4000-8000-${String(++nextKey).padStart(12, '0')}`,
});
Object.assign(window, {
  matchMedia: () => ({ matches: false, addEventListener() {}, removeEventListener() {} }),
});
Object.assign(Element.prototype, {
  scrollIntoView() {},
  hasPointerCapture: () => false,
  setPointerCapture() {},
  releasePointerCapture() {},
});
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

/** Every server action answers that all is well, unless a test says otherwise. */
jest.mock(
  '@/app/server-actions',
  () =>
    new Proxy(
      { __esModule: true },
      {
        get: (known: Record<string, unknown>, name: string) =>
          (known[name] ??= jest.fn(() => Promise.resolve({ ok: true, value: {} }))),
      },
    ),
);

beforeEach(() => {
  for (const f of Object.values(router)) f.mockClear();
});
