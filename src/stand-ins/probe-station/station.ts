import { readFileSync } from 'node:fs'
import { setTimeout as sleep } from 'node:timers/promises'
import { type CookClock, cookTime } from '@/domain/cook/cook-document'
import { type StationChannel, sampler } from './sampler'

export type { StationChannel, StationFault } from './sampler'

/**
 * A probe station that is none: several channels, each in a cook with a truth of its own that the
 * planner does not know, with noise, dropouts, wrong placement, a battery that dies and restarts.
 * A process of its own; it speaks the interface of docs/probes.md like any other device.
 */
export interface StationOrders {
  readonly address: string
  readonly token: string
  readonly clock: CookClock
  readonly channels: readonly StationChannel[]
  /** Stop after so much cook time, s. */
  readonly until_s?: number
}
const SAMPLE_S = 10
const BATCH_MS = 1000
const BACKLOG = 2000

async function main(orders: StationOrders): Promise<void> {
  const sample = orders.channels.map(sampler)
  const server = (await (await fetch(`${orders.address}/api/health`)).json()) as { now_s: number }
  const ahead_s = server.now_s - Date.now() / 1000
  const now = () => cookTime(orders.clock, Date.now() / 1000 + ahead_s)
  const first = Math.min(...orders.channels.map(({ put_in }) => Date.parse(put_in) / 1000))
  const waiting: { channel: number; seq: number; at: string; value: number }[] = []
  let next = Math.max(0, Math.floor(Math.min(0, now() - first) / SAMPLE_S))
  for (;;) {
    const until = now()
    for (; first + next * SAMPLE_S <= until && waiting.length < 200_000; next++) {
      const at_s = first + next * SAMPLE_S
      orders.channels.forEach((channel, i) => {
        const value = sample[i]?.(at_s - Date.parse(channel.put_in) / 1000)
        if (value !== undefined)
          waiting.push({
            channel: channel.channel,
            seq: next,
            at: new Date(at_s * 1000).toISOString(),
            value: Number(value.toFixed(2)),
          })
      })
    }
    while (waiting.length > 0) {
      const batch = waiting.slice(0, BACKLOG)
      const response = await fetch(`${orders.address}/api/readings`, {
        method: 'POST',
        headers: { authorization: `Bearer ${orders.token}`, 'content-type': 'application/json' },
        body: JSON.stringify({ unit: 'c', battery: 0.8, readings: batch }),
        signal: AbortSignal.timeout(10_000),
      }).catch(() => undefined)
      // A station keeps what was not taken and sends it again: the other side knows each by its number.
      if (!response || response.status >= 500) break
      if (!response.ok) throw new Error(`the readings were refused: ${response.status} ${await response.text()}`)
      waiting.splice(0, batch.length)
    }
    if (orders.until_s !== undefined && until - first > orders.until_s) return
    await sleep(BATCH_MS)
  }
}

const file = process.argv[2]
if (file) await main(JSON.parse(readFileSync(file, 'utf8')) as StationOrders)
