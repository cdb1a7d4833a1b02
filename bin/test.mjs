#!/usr/bin/env node
// npm test: types, lint, unit and integration tests on a real database, then the whole in a real browser.
import { spawn } from 'node:child_process'
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { ensureBuild } from './setup/build.mjs'
import { forEachWorker, testCluster } from './setup/database.mjs'
import { ensureDependencies, root } from './setup/dependencies.mjs'
import { prepareDatabase } from './setup/prepare.mjs'
import { chromiumProgram, ensureSystemPackages } from './setup/system.mjs'

ensureDependencies()
ensureSystemPackages(['postgresql', 'chromium'])
const tests = testCluster()
const { startedHere } = await tests.start()
const stop = async (code) => {
  if (startedHere) await tests.stop()
  process.exit(code)
}
process.on('SIGINT', () => stop(130))

const results = join(root, '.data', 'results')
rmSync(results, { recursive: true, force: true })
mkdirSync(results, { recursive: true })
const program = (name) => join(root, 'node_modules/.bin', name)
const env = {
  ...process.env,
  NEXT_TELEMETRY_DISABLED: '1',
  TEST_DATABASE_URL: tests.url('pheasant_test'),
  TEST_DATABASE_OWNER_URL: tests.ownerUrl('pheasant_test'),
  BROWSER_DATABASE_URL: tests.url('pheasant_browser'),
  CHROMIUM: chromiumProgram(),
}
/** What several say at once would be mixed up: only the last, or one alone, says it as it goes. */
const run = (words, { more = {}, quiet = false } = {}) =>
  new Promise((done) => {
    const [command, ...rest] = words
    const name = `\n> ${[command.split('/').at(-1), ...rest].join(' ')}`
    if (!quiet) console.log(name)
    const stdio = ['ignore', quiet ? 'pipe' : 'inherit', quiet ? 'pipe' : 'inherit']
    const child = spawn(command, rest, { cwd: root, stdio, env: { ...env, ...more } })
    const said = []
    for (const stream of [child.stdout, child.stderr]) stream?.on('data', (part) => said.push(part))
    child.once('error', (error) => {
      console.log(`${name}\n${error.message}`)
      done(false)
    })
    child.once('close', (code) => {
      if (quiet) console.log(`${name}\n${Buffer.concat(said).toString('utf8').trim()}`)
      done(code === 0)
    })
  })

let passed = 0
let failed = 0
const count = (ok) => (ok ? passed++ : failed++)
const read = (file) => (existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : undefined)

const aside = { quiet: true }
const types = async () => {
  count((await run([program('next'), 'typegen'], aside)) && (await run([program('tsc'), '--noEmit'], aside)))
  count(await run([program('tsc'), '--noEmit', '-p', 'tsconfig.core.json'], aside))
  count(await run([program('biome'), 'check', '.', '--error-on-warnings'], aside))
}
const rules = async () => count(await run([program('eslint'), '.', '--max-warnings', '0'], aside))
await Promise.all([types(), rules()])

const unitFile = join(results, 'unit.json')
const unitGreen = await run([
  program('vitest'),
  'run',
  '--reporter=default',
  '--reporter=json',
  `--outputFile.json=${unitFile}`,
])
const unit = read(unitFile)
passed += unit?.numPassedTests ?? 0
failed += unit?.numFailedTests ?? 0
if (!unitGreen && !unit?.numFailedTests) failed++

await ensureBuild()
// The browser sees a fixed morning and an untouched demo, so that every run is the same.
env.PHEASANT_NOW = '2026-11-25T09:00:00Z'
env.PHEASANT_TIME_ZONE = 'Europe/London'
Object.assign(process.env, { PHEASANT_NOW: env.PHEASANT_NOW, PHEASANT_TIME_ZONE: env.PHEASANT_TIME_ZONE })
forEachWorker((worker) => {
  tests.recreate(`pheasant_browser_${worker}`)
  prepareDatabase(tests.ownerUrl(`pheasant_browser_${worker}`), { demo: true })
})
const browserFile = join(results, 'browser.json')
const browserGreen = await run([program('playwright'), 'test'], { more: { PLAYWRIGHT_JSON_OUTPUT_FILE: browserFile } })
const browser = read(browserFile)?.stats
passed += browser?.expected ?? 0
failed += (browser?.unexpected ?? 0) + (browser?.flaky ?? 0)
if (!browserGreen && !browser?.unexpected) failed++

console.log(`\n${passed} passed, ${failed} failed`)
await stop(failed === 0 ? 0 : 1)
