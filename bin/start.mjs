#!/usr/bin/env node
// npm start: everything from a fresh checkout to a served application, kept alive. npm run dev: the same with `next dev`.
import { spawn } from 'node:child_process'
import { existsSync, mkdirSync, openSync, readFileSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { join } from 'node:path'
import { setTimeout as sleep } from 'node:timers/promises'
import { backUp, backupFolder, isDue, tidyBackups } from './setup/backups.mjs'
import { ensureBuild, nextProgram } from './setup/build.mjs'
import { buildCompute } from './setup/compute.mjs'
import { dataFolder, houseCluster } from './setup/database.mjs'
import { ensureDependencies, root } from './setup/dependencies.mjs'
import { prepareDatabase } from './setup/prepare.mjs'
import { keepAlive } from './setup/supervise.mjs'
import { ensureSystemPackages } from './setup/system.mjs'

const dev = process.argv.includes('--dev')
const host = '127.0.0.1'
/** Where it listens on the kitchen's network; undefined: not at all. */
const network = process.env.PHEASANT_HOST || (process.argv.includes('--lan') ? '0.0.0.0' : undefined)
const securePort = Number(process.env.PHEASANT_HTTPS_PORT ?? 3143)
const firstPort = Number(process.env.PORT ?? 3140)
const LOG_BYTES = 10_000_000

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
/** Whether its first page is there: what it reads from has answered too. */
const welcomes = async (port) => {
  try {
    const { status } = await fetch(`http://${host}:${port}/`, {
      redirect: 'manual',
      signal: AbortSignal.timeout(10_000),
    })
    return status < 500
  } catch {
    return false
  }
}
const isOurs = (answer) => answer?.application === 'pheasant' && answer.checkout === root

/** A port that is free, or the one on which this checkout is served already. */
async function findPort() {
  if (!Number.isInteger(firstPort) || firstPort < 1 || firstPort > 65_515)
    throw new Error(`PORT is ${process.env.PORT}: give a number from 1 to 65515`)
  for (let port = firstPort; port < firstPort + 20; port++) {
    if (await portFree(port)) return { port }
    if (isOurs(await health(port))) return { port, served: true }
  }
  throw new Error(`no port is free from ${firstPort} to ${firstPort + 19}: set PORT to a free one`)
}

const pidFile = join(dataFolder(), 'start.pid')
const lives = (pid) => {
  try {
    return process.kill(pid, 0)
  } catch (problem) {
    return problem.code === 'EPERM'
  }
}
/** Another start of this checkout that is under way. */
function otherStart() {
  if (!existsSync(pidFile)) return undefined
  const pid = Number(readFileSync(pidFile, 'utf8'))
  return pid !== process.pid && Number.isInteger(pid) && pid > 0 && lives(pid) ? pid : undefined
}

const say = (line) => console.log(`${new Date().toISOString().slice(11, 19)} ${line}`)

async function main() {
  ensureDependencies()
  ensureSystemPackages(['postgresql'])
  mkdirSync(dataFolder(), { recursive: true })
  const other = otherStart()
  for (let i = 0; other && otherStart() === other && i < 240; i++) {
    const found = await findPort()
    if (found.served) break
    if (i === 0) console.log(`Pheasant is being started by process ${other}; waiting for it …`)
    await sleep(500)
  }
  const { port, served } = await findPort()
  if (served) {
    console.log(`Pheasant is already running: http://${host}:${port}`)
    return
  }
  if (otherStart()) throw new Error(`process ${other} has been starting it for two minutes: end that one first`)
  writeFileSync(pidFile, String(process.pid))

  const house = houseCluster()
  // Where this process is killed, the guard ends what it leaves behind.
  const guard = spawn(process.execPath, [join(root, 'bin/setup/guard.mjs')], {
    cwd: root,
    stdio: ['pipe', 'ignore', 'ignore'],
    detached: true,
  })
  guard.stdin.on('error', () => {})
  guard.unref()
  const tellGuard = (line) => guard.stdin.write(`${line}\n`)

  const { startedHere } = await house.start()
  if (startedHere) tellGuard('database')
  // The simulated probe station goes with the demo: it gets its orders from a file and is a process of its own.
  const stationOrders = join(dataFolder(), 'probe-station.json')
  process.env.PHEASANT_STATION = stationOrders
  // Whoever has the secret in it becomes the first owner: it is only read here, and printed.
  const claimFile = join(dataFolder(), 'claim')
  process.env.PHEASANT_CLAIM = claimFile
  prepareDatabase(house.ownerUrl('pheasant'), { demo: true, again: process.argv.includes('--demo') })
  if (dev) await buildCompute()
  else await ensureBuild()

  const log = join(dataFolder(), 'pheasant.log')
  if (existsSync(log) && statSync(log).size > LOG_BYTES) renameSync(log, `${log}.1`)
  const told = dev ? 'inherit' : openSync(log, 'a')

  const servedBy = (on) => [
    join(root, 'bin/serve.mjs'),
    '--port',
    String(on),
    ...(network ? ['--host', network, '--secure-port', String(securePort), '--tls', join(dataFolder(), 'tls')] : []),
  ]
  const { fingerprintOf, ownNames } = await import('./setup/certificate.mjs')
  /** Where a tablet reaches it, and how the first owner claims it. */
  function tellDoors(on) {
    const claim = existsSync(claimFile) ? readFileSync(claimFile, 'utf8').trim() : ''
    if (network) {
      const { addresses } = ownNames()
      for (const each of addresses.filter((address) => !address.includes(':')))
        console.log(
          `On the network:    https://${each}:${securePort}   (how a tablet is told to trust it: /trust there)`,
        )
      const authority = join(dataFolder(), 'tls', 'authority.pem')
      if (existsSync(authority) && !process.env.PHEASANT_TLS_CERT)
        console.log(`Its certificate’s authority: ${fingerprintOf(authority)}`)
    }
    if (claim !== '')
      console.log(`Nobody owns it yet: http://${host}:${on}/claim/${claim}   makes you its first owner, once`)
  }

  const begin = (name, words, env) => () => {
    const child = spawn(process.execPath, words, {
      cwd: root,
      stdio: ['ignore', dev ? 'inherit' : 'ignore', told],
      detached: true, // Ctrl-C comes to us alone, so that the database outlives the last request
      env: { ...process.env, ...env },
    })
    if (child.pid) tellGuard(`child ${name} ${child.pid}`)
    return child
  }
  const server = keepAlive(
    'the application',
    begin('server', dev ? [nextProgram, 'dev', '-H', host, '-p', String(port)] : servedBy(port), {
      NODE_ENV: dev ? 'development' : 'production',
      DATABASE_URL: house.url('pheasant'),
      PHEASANT_CHECKOUT: root,
      PHEASANT_BACKUPS: backupFolder(),
      NEXT_TELEMETRY_DISABLED: '1',
    }),
    say,
  )

  let station
  function startStation() {
    if (!existsSync(stationOrders)) return
    const orders = { ...JSON.parse(readFileSync(stationOrders, 'utf8')), address: `http://${host}:${port}` }
    writeFileSync(stationOrders, JSON.stringify(orders), { mode: 0o600 })
    station = keepAlive(
      'the probe station',
      begin('station', ['--import', 'tsx', join(root, 'src/stand-ins/probe-station/station.ts'), stationOrders], {}),
      say,
      true,
    )
  }

  let stopping = false
  /** The database is looked at too: it is nobody's child. */
  async function watchDatabase() {
    let pause_ms = 1000
    while (!stopping) {
      await sleep(pause_ms)
      if (stopping || house.running()) {
        pause_ms = 1000
        continue
      }
      say('the database ended; it is started again')
      await house.start().catch((problem) => {
        pause_ms = Math.min(30_000, pause_ms * 2)
        say(`${problem.message}; tried again in ${pause_ms / 1000} s`)
      })
    }
  }
  async function backUpNightly() {
    while (!stopping) {
      await sleep(stopping ? 0 : 60_000)
      if (stopping || !isDue()) continue
      try {
        backUp(house)
        tidyBackups()
      } catch (problem) {
        say(`${problem.message}; the backups before are untouched`)
        await sleep(3_600_000)
      }
    }
  }

  async function stop(code) {
    if (stopping) return
    stopping = true
    await Promise.all([station?.stop(0), server.stop(6000)])
    if (startedHere) await house.stop().catch((problem) => console.error(problem.message))
    guard.stdin.end('done\n')
    rmSync(pidFile, { force: true })
    process.exit(code)
  }
  for (const name of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(name, () => void stop(0))
  void watchDatabase()
  void backUpNightly()

  for (let i = 0; i < 240 && !stopping; i++) {
    if (isOurs(await health(port)) && (await welcomes(port))) {
      console.log(`Pheasant is ready: http://${host}:${port}   (Ctrl-C stops it; what goes wrong stands in ${log})`)
      tellDoors(port)
      startStation()
      return
    }
    await sleep(500)
  }
  if (!stopping) {
    console.error(`Pheasant did not start: the application does not answer; see ${log}`)
    await stop(1)
  }
}

main().catch((problem) => {
  rmSync(pidFile, { force: true })
  console.error(`Pheasant did not start: ${problem.message}`)
  process.exit(1)
})
