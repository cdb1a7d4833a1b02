import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  test: {
    include: ['src/**/*.test.{ts,tsx}', 'tests/{architecture,integration}/**/*.test.ts'],
    environment: 'node',
    expect: { requireAssertions: true },
    globalSetup: ['tests/integration/database.ts'],
    // Outside a request the house itself acts: who may do what is asked in access.test.ts, as everybody.
    env: { PHEASANT_ACT: 'house' },
    testTimeout: 60_000,
    hookTimeout: 60_000,
  },
})
