#!/usr/bin/env node
// npm start: everything from a fresh checkout to a served application. npm run dev: the same with `next dev`.
import { spawn } from 'node:child_process'
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { join } from 'node:path'
import { setTimeout as sleep } from 'node:timers/promises'
import { ensureBuild, nextProgram } from './setup/build.mjs'
import { houseCluster } from './setup/database.mjs'
import { ensureDependencies, root } from './setup/dependencies.mjs'
import { prepareDatabase } from './setup/prepare.mjs'
import { ensureSystemPackages } from './setup/system.mjs'

const dev = process.argv.includes('--dev')
const host = '127.0.0.1'
const firstPort = Number(process.env.PORT ?? 3140)

const portFree = (port) =>
  new Promise((answer) => {
    const probe = createServer()
      .once('error', () => answer(false))
      .once('listening', () => probe.close(() => answer(true)))
    probe.listen(port, host)
  })
const health = async (port) => {
  try {
    const response = await fetch(`http://${host}:${port}/api/health`, { signal: AbortSignal.timeout(3000) })
    return await response.json()
  } catch {
    return undefined
  }
}

ensureDependencies()
ensureSystemPackages(['postgresql'])

let port = firstPort
for (; port < firstPort + 20 && !(await portFree(port)); port++) {
  const answer = await health(port)
  if (answer?.application === 'pheasant' && answer.checkout === root) {
    console.log(`Pheasant is already running: http://${host}:${port}`)
    process.exit(0)
  }
}
if (port === firstPort + 20) {
  console.error(`No free port from ${firstPort} to ${port - 1}. Set PORT to a free one.`)
  process.exit(1)
}

const house = houseCluster()
const { startedHere } = await house.start()
const stopDatabase = async () => {
  if (startedHere) await house.stop()
}
const url = house.url('pheasant')
// The simulated probe station goes with the demo: it gets its orders from a file and is a process of its own.
const stationOrders = join(root, '.data', 'probe-station.json')
mkdirSync(join(root, '.data'), { recursive: true })
process.env.PHEASANT_STATION = stationOrders
prepareDatabase(url, { demo: true })
if (!dev) await ensureBuild()

const server = spawn(process.execPath, [nextProgram, dev ? 'dev' : 'start', '-H', host, '-p', String(port)], {
  cwd: root,
  stdio: ['ignore', dev ? 'inherit' : 'ignore', 'inherit'],
  detached: true, // Ctrl-C comes to us alone, so that the database outlives the last request
  env: {
    ...process.env,
    NODE_ENV: dev ? 'development' : 'production',
    DATABASE_URL: url,
    PHEASANT_CHECKOUT: root,
    NEXT_TELEMETRY_DISABLED: '1',
  },
})
let station
let stopping = false
async function stop(code) {
  if (stopping) return
  stopping = true
  const gone =
    server.exitCode !== null || server.signalCode !== null
      ? Promise.resolve()
      : new Promise((done) => server.once('exit', done))
  station?.kill('SIGKILL')
  try {
    process.kill(-server.pid, 'SIGTERM')
  } catch {}
  await Promise.race([gone, sleep(6000)])
  try {
    process.kill(-server.pid, 'SIGKILL')
  } catch {}
  await stopDatabase()
  process.exit(code)
}
server.once('exit', (code) => stop(code ?? 1))
function startStation() {
  if (!existsSync(stationOrders)) return
  const orders = { ...JSON.parse(readFileSync(stationOrders, 'utf8')), address: `http://${host}:${port}` }
  writeFileSync(stationOrders, JSON.stringify(orders), { mode: 0o600 })
  station = spawn(
    process.execPath,
    ['--import', 'tsx', join(root, 'src/stand-ins/probe-station/station.ts'), stationOrders],
    {
      cwd: root,
      stdio: ['ignore', 'ignore', 'inherit'],
    },
  )
}
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => stop(0))

for (let i = 0; i < 240 && !stopping; i++) {
  if ((await health(port))?.application === 'pheasant') {
    console.log(`Pheasant is ready: http://${host}:${port}   (Ctrl-C stops it)`)
    startStation()
    break
  }
  await sleep(500)
}
