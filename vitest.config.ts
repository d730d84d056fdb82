import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    projects: [
      {
        test: {
          name: 'core',
          include: ['tests/{core,formats,server,stations}/**/*.test.ts'],
          // Pure functions are loaded once for all files of a worker.
          isolate: false,
          // Thousands of simulated series and logs take their time on a busy machine.
          testTimeout: 60_000,
        },
      },
      {
        test: {
          name: 'api',
          include: ['tests/api/**/*.test.ts'],
          globalSetup: ['tests/api/serve.ts'],
          fileParallelism: false,
          // Some start Corvat a dozen times.
          testTimeout: 240_000,
          hookTimeout: 120_000,
        },
      },
      {
        // By hand: ./corvat test endurance.
        test: {
          name: 'endurance',
          include: ['tests/endurance/**/*.test.ts'],
          fileParallelism: false,
          hookTimeout: 120_000,
        },
      },
    ],
  },
});
