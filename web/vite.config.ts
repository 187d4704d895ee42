import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  plugins: [react(), tailwindcss()],
  build: { outDir: 'target/dist', emptyOutDir: true, target: 'es2022', manifest: 'assets-list.json' },
  // The rules are read inside from where they are kept.
  server: {
    fs: { allow: ['..'] },
    proxy: { '/api': process.env.MARDUN_API ?? 'http://127.0.0.1:8080' },
  },
  test: {
    // A machine that builds other things meanwhile is slow, and no less right.
    testTimeout: 30_000,
    environment: 'jsdom',
    globals: true,
    setupFiles: ['src/test-setup.ts'],
    pool: 'threads',
    isolate: false,
    // A second worker would make a DOM anew for each file, and core's tests run beside these.
    maxWorkers: 1,
  },
});
