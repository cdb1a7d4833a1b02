import { setFlagsFromString } from 'node:v8'
import { runInNewContext } from 'node:vm'
import { cookFromPlan } from '@/domain/cook/begin'
import { boardOf } from '@/domain/cook/board'
import { cookEntry, type ProbeReading } from '@/domain/cook/cook-document'
import { forecastOf } from '@/domain/cook/forecast'
import { mergeReadings } from '@/domain/cook/readings'
import { planDocument } from '@/domain/roast/roast-document'

/**
 * Eight hours of one roast with a reading each second, through what a browser does with them: merge,
 * board, estimate. Prints the time of an update and the memory, hour by hour. The curve is a plain
 * exponential with noise: only steadiness is measured here, not accuracy.
 */
const HOURS = 8
const START_C = 5
const AIR_C = 110
setFlagsFromString('--expose-gc')
const collect = runInNewContext('gc') as () => void

const begin_s = Date.UTC(2026, 10, 26, 6) / 1000
const made = cookFromPlan(
  planDocument.parse({
    title: 'Long roast',
    roast: { cut: 'pork-shoulder', mass_kg: 6 },
    program: { school: 'steady', set_c: AIR_C },
    promise: '2026-11-26T20:00:00Z',
  }),
  begin_s,
  1,
)
if (!made.ok) throw new Error('the long roast could not be planned')
const document = made.value
const [item] = document.items
if (!item) throw new Error('the long roast has no item')
const iso = (at_s: number) => new Date(at_s * 1000).toISOString()
const entries = [
  cookEntry.parse({ id: 'long-in-0001', kind: 'in', at: iso(begin_s), item: item.id }),
  cookEntry.parse({
    id: 'long-probe-0001',
    kind: 'assign',
    at: iso(begin_s + 1),
    item: item.id,
    device: 'd',
    channel: 0,
    point: 'core',
  }),
]
const noise = (i: number) => 0.2 * Math.sin(i * 12.9898) * Math.cos(i * 78.233)

let readings: ProbeReading[] = []
let taken: number[] = []
let merging = 0
for (let second = 2; second <= HOURS * 3600; second++) {
  const value_c = AIR_C - (AIR_C - START_C) * Math.exp(-second / 36_000) + noise(second)
  const from = performance.now()
  readings = mergeReadings(readings, [{ device: 'd', channel: 0, at_s: begin_s + second, value_c }])
  merging += performance.now() - from
  if (second % 300 === 0) {
    const start = performance.now()
    const [board] = boardOf(document, entries, readings, begin_s + second)
    const forecast = board && forecastOf(board, begin_s + second)
    if (!forecast) throw new Error(`no forecast after ${second} s`)
    taken.push(performance.now() - start)
  }
  if (second % 3600 === 0) {
    collect()
    const middle = taken.sort((a, b) => a - b)[taken.length >> 1] ?? 0
    console.log(
      `long day, hour ${second / 3600}: arrival with all ways out tried ${middle.toFixed(0)} ms, a reading ${(merging / 3.6).toFixed(0)} µs, ${readings.length} readings kept, heap ${(process.memoryUsage().heapUsed / 1e6).toFixed(1)} MB`,
    )
    taken = []
    merging = 0
  }
}
