import { cookTime } from '@/domain/cook/cook-document'
import { sampler } from '@/stand-ins/probe-station/sampler'
import type { StationOrder } from './protocol'

/** Practice probes for a rehearsal: they speak the interface of docs/probes.md like any other device. */

const SAMPLE_S = 15
const EVERY_MS = 1000
const MOST = 500

self.onmessage = ({ data }: MessageEvent<StationOrder>) => {
  const { token, clock, ahead_ms, put_in, seed, told } = data
  const began_s = Date.parse(put_in) / 1000
  const points = (['core', 'air'] as const).map((point, channel) => ({
    channel,
    sample: sampler({ channel, point, seed, told, put_in, faults: [] }),
  }))
  const waiting: { channel: number; seq: number; at: string; value: number }[] = []
  let next = 0
  let busy = false
  const round = async () => {
    const now_s = cookTime(clock, (Date.now() + ahead_ms) / 1000)
    for (; began_s + next * SAMPLE_S <= now_s && waiting.length < 20_000; next++)
      for (const { channel, sample } of points) {
        const value = sample(next * SAMPLE_S)
        if (value === undefined) continue
        waiting.push({
          channel,
          seq: next,
          at: new Date((began_s + next * SAMPLE_S) * 1000).toISOString(),
          value: Number(value.toFixed(2)),
        })
      }
    if (busy || waiting.length === 0) return
    busy = true
    const batch = waiting.slice(0, MOST)
    const answer = await fetch('/api/readings', {
      method: 'POST',
      headers: { authorization: `Bearer ${token}`, 'content-type': 'application/json' },
      body: JSON.stringify({ unit: 'c', battery: 1, readings: batch }),
    }).catch(() => undefined)
    // What was not taken is sent again: the other side knows each by its number.
    if (answer?.ok) waiting.splice(0, batch.length)
    busy = false
  }
  setInterval(() => void round(), EVERY_MS)
}
