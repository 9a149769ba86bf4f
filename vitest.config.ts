import { defineConfig } from 'vitest/config';

/** Tests that have a browser of their own to keep things in, and so a world of their own. */
const browser = 'src/**/*.browser.test.ts';
const unit = {
  environment: 'node',
  globalSetup: 'vitest.folder.ts',
  testTimeout: 60_000,
  hookTimeout: 60_000,
  maxWorkers: '100%',
} as const;

export default defineConfig({
  test: {
    projects: [
      {
        // Each worker imports the house once: what is imported keeps nothing between two tests.
        test: { name: 'unit', ...unit, include: ['src/**/*.test.{ts,tsx}'], exclude: [browser], isolate: false },
      },
      { test: { name: 'unit-browser', ...unit, include: [browser] } },
      {
        test: {
          name: 'e2e',
          environment: 'node',
          include: ['e2e/**/*.e2e.ts'],
          globalSetup: ['vitest.folder.ts'],
          testTimeout: 400_000,
          hookTimeout: 200_000,
          fileParallelism: false,
          pool: 'forks',
        },
      },
    ],
  },
});
