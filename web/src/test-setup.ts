import '@testing-library/jest-dom/vitest';
import * as matchers from '@testing-library/jest-dom/matchers';
import { cleanup, configure } from '@testing-library/react';
import { afterEach, expect } from 'vitest';

// Files share a document and the modules they load, so what these do once on import is done here for each file.
expect.extend(matchers);
// What is waited for comes later on a slow machine, and is no less right.
configure({ asyncUtilTimeout: 10_000 });
afterEach(() => {
  cleanup();
  localStorage.clear();
});

class NoResize implements ResizeObserver {
  observe() {}
  unobserve() {}
  disconnect() {}
}
globalThis.ResizeObserver ??= NoResize;
Element.prototype.scrollIntoView ??= () => {};
