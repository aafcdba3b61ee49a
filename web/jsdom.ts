import { configure } from '@testing-library/react';
import { TextDecoder, TextEncoder } from 'node:util';

/** What jsdom lacks and the component library asks for. */
class Unobserved {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
}
/** Takes every question and answers none. */
class SilentWorker extends EventTarget {
  postMessage(): void {}
  terminate(): void {}
}
Object.assign(globalThis, {
  Worker: SilentWorker,
  TextDecoder,
  TextEncoder,
  ResizeObserver: Unobserved,
  IntersectionObserver: Unobserved,
});
Object.assign(window, {
  matchMedia: (query: string) => ({
    matches: false,
    media: query,
    addEventListener: () => {},
    removeEventListener: () => {},
    addListener: () => {},
    removeListener: () => {},
  }),
});
configure({ asyncUtilTimeout: 10_000 });
