import '@testing-library/jest-dom/vitest';

class NoResize implements ResizeObserver {
  observe() {}
  unobserve() {}
  disconnect() {}
}
globalThis.ResizeObserver ??= NoResize;
Element.prototype.scrollIntoView ??= () => {};
