import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'
import { TEST_WORKERS } from './bin/setup/database.mjs'

export default defineConfig({
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  test: {
    include: ['src/**/*.test.{ts,tsx}', 'tests/{architecture,integration}/**/*.test.ts'],
    environment: 'node',
    expect: { requireAssertions: true },
    globalSetup: ['tests/integration/database.ts'],
    // Two files at once, each with a database of its own: the default leaves one of two cores to nobody.
    maxWorkers: TEST_WORKERS,
    setupFiles: ['tests/integration/own-database.ts'],
    // Outside a request the house itself acts: who may do what is asked in access.test.ts, as everybody.
    env: { PHEASANT_ACT: 'house' },
    // Ten times what the longest takes on a machine of its own: one that others use as well is no fault of what is tested.
    testTimeout: 300_000,
    hookTimeout: 300_000,
  },
})
