import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    projects: [
      {
        test: {
          name: 'unit',
          environment: 'node',
          include: ['src/**/*.test.{ts,tsx}'],
          globalSetup: ['vitest.folder.ts'],
          testTimeout: 60_000,
          hookTimeout: 60_000,
        },
      },
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
