import { defineConfig } from '@playwright/test'
import { forEachWorker, TEST_WORKERS } from './bin/setup/database.mjs'

// Two files run at once, each against a server and a database of its own: what one leaves is not in another's lists.
const portOf = (worker: number) => 3190 + worker
const databaseOf = (worker: number) => `${process.env.BROWSER_DATABASE_URL ?? ''}_${worker}`
/** Of the two, counted from 1: a worker reads this file for itself. */
const worker = Number(process.env.TEST_PARALLEL_INDEX ?? 0) + 1
const port = portOf(worker)
// What the tests themselves ask.
process.env.MACHINE = `http://127.0.0.1:${port}`
process.env.MACHINE_DATABASE_URL = databaseOf(worker)
/** A name on the kitchen's network, without https: there a browser gives a page less than on the machine itself. */
const TABLET_HOST = 'kitchen.test'

/** The whole application in Debian's Chromium. Run through npm test, which makes the build, the database and the clock. */
export default defineConfig({
  testDir: 'tests/e2e',
  workers: TEST_WORKERS,
  // Five times what the longest takes, ten times what the others do: a machine that stands still for a while is no
  // fault of what is tested.
  timeout: 900_000,
  expect: { timeout: 150_000 },
  reporter: [['list'], ['json']],
  outputDir: '.data/results/browser',
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    timezoneId: 'Europe/London',
    reducedMotion: 'reduce',
    // Recording each step takes a third of the time: asked for when something is looked into.
    trace: process.env.TRACE ? 'retain-on-failure' : 'off',
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        `--host-resolver-rules=MAP ${TABLET_HOST} 127.0.0.1`,
      ],
    },
  },
  projects: [
    // What needs nothing that a browser gives only to an address it trusts runs once, on the tablet’s.
    { name: 'machine', grepInvert: /@tablet/ },
    {
      name: 'tablet',
      grepInvert: /@machine/,
      testMatch: /(cook|walks)\.spec\.ts/,
      use: { baseURL: `http://${TABLET_HOST}:${port}` },
    },
  ],
  webServer: forEachWorker((each) => ({
    command: `node bin/serve.mjs --port ${portOf(each)}`,
    url: `http://127.0.0.1:${portOf(each)}/api/health`,
    reuseExistingServer: false,
    timeout: 240_000,
    env: {
      DATABASE_URL: databaseOf(each),
      PHEASANT_NOW: process.env.PHEASANT_NOW ?? '2026-11-25T09:00:00Z',
      PHEASANT_TIME_ZONE: process.env.PHEASANT_TIME_ZONE ?? 'Europe/London',
      PHEASANT_HOSTS: TABLET_HOST,
      // The tests are whoever sits at the machine, under any name: who may do what is asked in access.spec.ts.
      PHEASANT_OPEN: 'demo',
      PHEASANT_LOG: 'warn',
      NEXT_TELEMETRY_DISABLED: '1',
    },
  })),
})
