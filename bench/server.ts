import { type ChildProcess, spawn } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { setTimeout as sleep } from 'node:timers/promises'
import { quantile } from '@/core/estimate/random'
import { ensureBuild } from '../bin/setup/build.mjs'
import { cluster } from '../bin/setup/database.mjs'
import { root } from '../bin/setup/dependencies.mjs'
import { prepareDatabase } from '../bin/setup/prepare.mjs'

/** A built application on a database of its own, for the benches: loopback, durable, begun empty. */
export interface BenchServer {
  readonly address: string
  /** All servers on this database, the first among them. */
  readonly addresses: readonly string[]
  readonly ownerUrl: string
  readonly start: () => Promise<void>
  readonly kill: () => void
  readonly memory_mb: () => number
  readonly data: ReturnType<typeof cluster>
  readonly end: () => Promise<void>
}

/** @param database made anew; its cluster syncs to disk like a cook's own where `durable` */
export async function benchServer(
  port: number,
  { demo = false, durable = true, name = 'postgres-load', keep = false, servers = 1 } = {},
): Promise<BenchServer> {
  const data = cluster({ name, firstPort: 54_520, databases: ['pheasant'], durable })
  await data.start()
  await ensureBuild()
  if (!keep) data.recreate('pheasant')
  prepareDatabase(data.ownerUrl('pheasant'), { demo })
  const address = `http://127.0.0.1:${port}`
  let server: ChildProcess | undefined
  const others: ChildProcess[] = []
  const serve = (on: number) =>
    spawn(process.execPath, [join(root, 'bin/serve.mjs'), '--port', String(on)], {
      cwd: root,
      stdio: ['ignore', 'ignore', process.env.SHOW ? 'inherit' : 'ignore'],
      env: {
        ...process.env,
        NODE_ENV: 'production',
        DATABASE_URL: data.url('pheasant'),
        PHEASANT_LOG: 'warn',
        NEXT_TELEMETRY_DISABLED: '1',
      },
    })
  const answers = async (at: string) => {
    for (let i = 0; i < 300; i++) {
      const ready = await fetch(`${at}/api/ready`).catch(() => undefined)
      if (ready?.ok) return
      await sleep(100)
    }
    throw new Error('the application does not answer')
  }
  const start = async () => {
    server = serve(port)
    await answers(address)
  }
  await start()
  const addresses = [address]
  for (let i = 1; i < servers; i++) {
    others.push(serve(port + 20 + i))
    addresses.push(`http://127.0.0.1:${port + 20 + i}`)
    await answers(addresses[i] as string)
  }
  return {
    address,
    addresses,
    ownerUrl: data.ownerUrl('pheasant'),
    start,
    kill: () => void server?.kill('SIGKILL'),
    memory_mb: () =>
      Number(readFileSync(`/proc/${server?.pid}/status`, 'utf8').match(/VmRSS:\s+(\d+)/)?.[1] ?? 0) / 1024,
    data,
    end: async () => {
      for (const each of [server, ...others]) each?.kill('SIGKILL')
      await data.stop()
    },
  }
}

/** Sends JSON and answers the response; undefined where nothing answered. */
export const sendJson = (address: string, body: unknown, headers: Record<string, string> = {}) =>
  fetch(address, {
    method: 'POST',
    headers: { 'content-type': 'application/json', ...headers },
    body: JSON.stringify(body),
  }).catch(() => undefined)

/** The value below which so large a share lies. */
export const quantileOf = (values: readonly number[], share: number): number =>
  quantile(
    [...values].sort((a, b) => a - b),
    share,
  )

/** Watches a kitchen's stream like a board: told of each batch of readings how late it came, ms, until it is stopped. */
export async function watchStream(address: string, signal: AbortSignal, told: (lag_ms: number) => void): Promise<void> {
  const response = await fetch(address, { signal })
  const decoder = new TextDecoder()
  let text = ''
  for await (const part of response.body ?? []) {
    text += decoder.decode(part as Uint8Array, { stream: true })
    const lines = text.split('\n\n')
    text = lines.pop() ?? ''
    for (const line of lines) {
      if (!line.startsWith('data: {')) continue
      const { latest = [] } = JSON.parse(line.slice(6)) as { latest?: [number, number, number][] }
      if (latest.length > 0) told(Date.now() - 1000 * Math.max(...latest.map(([, at_s]) => at_s)))
    }
  }
}
