import { describe, expect, it } from 'vitest'
import { seededRandom } from '@/core/estimate/random'
import { boardOf, nextActions } from './board'
import { oldestPoint, readNext } from './by-hand'
import { type CookEntry, cookDocument, cookEntry, type ProbeReading } from './cook-document'
import { arrivalText } from './entry/arrival'
import { isSilent } from './odd'
import { runOf } from './run'

const T0 = Date.UTC(2026, 10, 25, 12) / 1000
const iso = (minute: number) => new Date((T0 + minute * 60) * 1000).toISOString()
const document = cookDocument.parse({
  title: 'Supper',
  clock: { origin: iso(0), real: iso(0), speed: 1 },
  items: [
    {
      id: 'bird',
      title: 'Turkey',
      roast: { cut: 'turkey', mass_kg: 5 },
      program: { school: 'steady', set_c: 165 },
      serve_c: 74,
      promise: iso(240),
      put_in: iso(10),
      pull: iso(190),
      carve: iso(225),
      pull_c: 71,
      points: ['breast', 'thigh'],
    },
  ],
})
let count = 0
const entry = (kind: CookEntry['kind'], minute: number, more: Partial<CookEntry> = {}) =>
  cookEntry.parse({ id: `hand-${String(count++).padStart(4, '0')}`, kind, at: iso(minute), item: 'bird', ...more })
const read = (minute: number, point: string, value_c: number) => entry('reading', minute, { point, value_c })
const foreseen = (minute: number) => {
  const at_s = T0 + minute * 60
  return entry('arrival', 20, { text: arrivalText(0, { p10: at_s - 600, p50: at_s, p90: at_s + 600 }) })
}
const spoken = (from: number, to: number): ProbeReading[] =>
  Array.from({ length: to - from }, (_, i) => ({
    device: 'd',
    channel: 0,
    at_s: T0 + (from + i) * 60,
    value_c: 5 + 0.35 * (from + i),
  }))
const stuck = entry('assign', 11, { device: 'd', channel: 0, point: 'breast' })
const board = (entries: CookEntry[], readings: ProbeReading[], minute: number) =>
  boardOf(document, entries, readings, T0 + minute * 60)
const asked = (entries: CookEntry[], readings: ProbeReading[], minute: number) => {
  const now_s = T0 + minute * 60
  return nextActions(runOf(document, entries, now_s), board(entries, readings, minute), now_s)
}
const readAt = (entries: CookEntry[], readings: ProbeReading[], minute: number) => {
  const found = asked(entries, readings, minute).find(({ kind }) => kind === 'read')
  return found && (found.at_s - T0) / 60
}

describe('read by hand', () => {
  const begun = [entry('in', 10), foreseen(190)]

  it('is asked for again halfway to the pull, then at it, and before the pull itself', () => {
    const first = [...begun, read(130, 'breast', 45), read(130, 'thigh', 52)]
    expect(readAt(first, [], 131)).toBe(160)
    const second = [...first, read(160, 'breast', 57), read(160, 'thigh', 64)]
    expect(readAt(second, [], 161)).toBe(175)
    const third = [...second, read(182, 'breast', 66), read(182, 'thigh', 70)]
    expect(readAt(third, [], 183)).toBe(190)
    const order = asked(third, [], 190).map((action) => (action.kind === 'step' ? action.step.step.kind : action.kind))
    expect(order.indexOf('read')).toBeLessThan(order.indexOf('pull'))
    expect(order.indexOf('read')).toBeGreaterThanOrEqual(0)
    // Read just now, it is pulled.
    expect(readAt([...third, read(188, 'breast', 71), read(188, 'thigh', 75)], [], 189)).toBeUndefined()
  })

  it('of a bird both points: the one that was not read yet is still asked for', () => {
    const both = [...begun, read(130, 'breast', 45), read(130, 'thigh', 52)]
    const half = [...both, read(161, 'breast', 57)]
    expect(readAt(half, [], 162)).toBe(160)
    const [bird] = board(half, [], 162)
    expect(bird && oldestPoint(bird)?.point).toBe('thigh')
    // Where only one was ever read nobody is sent after the other.
    expect(readAt([...begun, read(130, 'breast', 45)], [], 131)).toBe(160)
  })

  it('is not asked for while a probe speaks, nor before anything was read, nor out of the oven', () => {
    expect(readAt([...begun, stuck, read(130, 'breast', 45)], spoken(12, 150), 150)).toBeUndefined()
    expect(readAt(begun, [], 120)).toBeUndefined()
    expect(readAt([...begun, read(130, 'breast', 45), entry('out', 150)], [], 151)).toBeUndefined()
  })

  it('takes over from a probe that is lost: that is said once, and not after every reading', () => {
    const codes = (entries: CookEntry[], minute: number) =>
      board(entries, spoken(12, 130), minute)[0]?.odd.map(({ code }) => code)
    const entries = [...begun, stuck]
    expect(codes(entries, 140)).toContain('lost')
    const known = [...entries, read(141, 'breast', 53)]
    for (const minute of [142, 150, 170]) expect(codes(known, minute)).not.toContain('lost')
    expect(readAt(known, spoken(12, 130), 150)).toBe(165.5)
    // It speaks again, and falls silent again.
    const again = [...spoken(12, 130), ...spoken(150, 160)]
    expect(board(known, again, 161)[0]?.byHand).toBe(false)
    expect(board(known, again, 175)[0]?.odd.map(({ code }) => code)).toContain('lost')
  })

  it('a probe that never spoke is waited for eleven minutes', () => {
    expect(isSilent([], 0, 600)).toBe(false)
    expect(isSilent([], 0, 700)).toBe(true)
    expect(isSilent([{ at_s: 0, value_c: 5 }], 0, 700)).toBe(true)
  })

  it('whenever it was read and whenever it is wanted: never in the past of its reading, never after it is wanted, and it ends', () => {
    const random = seededRandom(62)
    const [bird] = board([...begun, read(130, 'breast', 45)], [], 131)
    if (!bird) throw new Error('no bird')
    for (let i = 0; i < 500; i++) {
      let at_s = Math.round(20_000 * random())
      const wanted_s = at_s + Math.round((random() < 0.1 ? -3000 : 1) * 20_000 * random())
      let times = 0
      for (; times < 40; times++) {
        const next = readNext({ ...bird, points: [], latest: { at_s, value_c: 40 } }, wanted_s)
        if (next === undefined) break
        expect(next - at_s).toBeGreaterThanOrEqual(240)
        expect(next - at_s).toBeLessThanOrEqual(3600)
        expect(next).toBeLessThanOrEqual(wanted_s)
        at_s = next
      }
      expect(times).toBeLessThan(16)
      // What is wanted is read at the last, four minutes before at the most.
      if (times > 0) expect(wanted_s - at_s).toBeLessThanOrEqual(240)
    }
    expect(readNext({ ...bird, latest: { at_s: 0, value_c: 40 } }, Number.POSITIVE_INFINITY)).toBeUndefined()
  })
})
