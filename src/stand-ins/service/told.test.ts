import { describe, expect, it } from 'vitest'
import { findCut } from '@/core/reference/cuts'
import { cookFromPlan } from '@/domain/cook/begin'
import { readLine } from '@/domain/line/reading'
import { planFromLine } from '@/domain/plan/from-line'
import { makePlan } from '@/domain/plan/make-plan'
import { KitchenRoast } from '../kitchen/kitchen'
import { service } from './service'

/** Roasts that were told their times and readings, by a line, through a kitchen that does what the board says. */

const NOW = Date.UTC(2026, 10, 27, 5) / 1000
const MEMBERS = 32

function served(line: string, { oven_k = 0, thicker = 1 } = {}) {
  const read = readLine(line, { now_s: NOW, timeZone: 'UTC' })
  if (!read.ok) throw new Error(JSON.stringify(read.problems))
  const plan = planFromLine(read.value, NOW)
  const made = makePlan(plan, NOW, 8)
  const cook = cookFromPlan(plan, NOW, 1)
  const [item] = cook.ok ? cook.value.items : []
  if (!made.ok || !cook.ok || !item || !findCut(plan.roast.cut)) throw new Error(line)
  const thickness_m = made.value.plan.thickness_m * thicker
  const piece = new KitchenRoast({ seed: 5, thickness_m, shape: 2, start_c: 5, family: 'plateau' })
  const { served, entries } = service(
    cook.value,
    { plan },
    new Map([[item.id, { piece, serve_c: item.serve_c, late_min: 0, dead_at: undefined }]]),
    { offset_k: () => oven_k },
    NOW,
    Date.parse(plan.promise) / 1000 + 4 * 3600,
    MEMBERS,
  )
  const [one] = served
  if (!one) throw new Error('not served')
  const minutesOf = (kind: string) =>
    entries.filter((entry) => entry.kind === kind).map(({ at }) => (Date.parse(at) / 1000 - NOW) / 60)
  return { one, minutesOf, plan: made.value.plan }
}

describe('what a line told is done, and nothing is left where it does harm', () => {
  it('straight on in the heat at its reading, out of its finish after its minutes, and rested', () => {
    const { one, minutesOf } = served('beef rib 3 kg 110 to 50 then 260 for 8 min, rest 20, 19:00')
    const [out = 0, finish = 0, rest = 0, carve = 0] = ['out', 'finish', 'rest', 'carve'].map(
      (kind) => minutesOf(kind)[0],
    )
    expect(finish - out).toBeLessThan(2)
    expect(rest - finish).toBeGreaterThan(7)
    expect(rest - finish).toBeLessThan(10)
    expect(carve).toBeGreaterThan(rest + 15)
    expect(Math.abs(one.late_min)).toBeLessThanOrEqual(5)
    expect(one.peak_c).toBeLessThan(60)
  })

  it('a reading that was told is the one it is pulled at, however done that makes it', () => {
    const { one, minutesOf } = served('beef tenderloin 2 kg 120 to 48, sear, 19:00')
    expect(minutesOf('pull_at')).toEqual([])
    expect(one.peak_c).toBeLessThan(54)
    expect(Math.abs(one.late_min)).toBeLessThanOrEqual(5)
  })

  it('by the clock in an oven that runs hot: out at a reading, before its time', () => {
    const { one, minutesOf, plan } = served('beef rib 3 kg 160 for 110 minutes, 19:00', { oven_k: 20, thicker: 0.93 })
    expect(minutesOf('pull_at').length).toBeGreaterThan(0)
    expect(minutesOf('out')[0]).toBeLessThan((plan.putIn - NOW) / 60 + 105)
    expect(Math.abs(one.late_min)).toBeLessThanOrEqual(5)
    expect(Math.abs(one.off_k)).toBeLessThan(3)
  })

  it('by the clock and back in: it comes out again, done and not forgotten', () => {
    const { one, minutesOf } = served('pork loin 2 kg 180 for 80 minutes, 19:00')
    expect(minutesOf('out').length).toBe(minutesOf('in').length)
    expect(one.held).toBe(true)
    expect(one.peak_c).toBeLessThan(67)
    expect(Math.abs(one.late_min)).toBeLessThanOrEqual(10)
  })

  it('by the clock in an oven that runs cold: what it would leave tough is left in, and hotter, until it lets go', () => {
    const { one, minutesOf } = served('chuck roast 1.5 kg 150 3.5 hours covered, 19:00', { oven_k: -12, thicker: 1.08 })
    expect(minutesOf('pull_at').length).toBeGreaterThan(0)
    expect(one.tender_min).toBeGreaterThan(15)
    expect(one.late_min).toBeLessThan(75)
    // Three hours at 140 leave a shoulder tough in any oven; it was left so, without a word, in the coldest.
    const shoulder = served('lamb shoulder 2 kg 140 covered 3 hours, 19:00', { oven_k: -10, thicker: 1.06 })
    expect(shoulder.one.tender_min).toBeGreaterThan(15)
    // It leaves its bone and is wanted falling apart: 16 minutes at 90 °C it had before, and 45 in an oven that is right.
    const apart = served('lamb shoulder 2 kg 5 hours at 130, 19:00', { oven_k: -12, thicker: 1.07 })
    expect(apart.one.tender_min).toBeGreaterThan(50)
    expect(apart.one.late_min).toBeLessThan(5)
    expect(shoulder.one.late_min).toBeLessThan(60)
    // What lets go in its hours is taken out when they are over, however much or little it reads.
    for (const line of ['lamb shank 450 g 160 covered 2.5 hours, 19:00', 'brisket 3 kg 120 7 hours, 19:00']) {
      const told = served(line)
      expect(told.minutesOf('pull_at')).toEqual([])
      expect(Math.abs(told.one.late_min)).toBeLessThanOrEqual(5)
      expect(told.one.tender_min).toBeGreaterThan(15)
    }
  })

  it('on a fire that burns low: hotter in time, and it falls apart', () => {
    const { one, minutesOf } = served('pork shoulder 3 kg smoked 110 till 74, wrap, then till 95, 19:00', {
      oven_k: -12,
      thicker: 1.07,
    })
    expect(minutesOf('oven').length).toBeGreaterThan(0)
    // With nothing to be done about a fire it came to 77 °C, tough, at its hour.
    expect(one.peak_c).toBeGreaterThan(88)
    expect(one.tender_min).toBeGreaterThan(100)
    expect(Math.abs(one.late_min)).toBeLessThanOrEqual(10)
  })

  it('in an oven that is off: what it would make too much of comes out at a reading, and rests', () => {
    for (const [oven_k, thicker] of [
      [0, 1],
      [14, 0.93],
    ] as const) {
      const { one, minutesOf } = served('prime rib 3 kg, oven off method, medium rare, 19:00', { oven_k, thicker })
      expect(minutesOf('pull_at').length).toBeGreaterThan(0)
      expect(minutesOf('out').length).toBe(1)
      expect((minutesOf('carve')[0] ?? 0) - (minutesOf('out')[0] ?? 0)).toBeGreaterThan(20)
      // Left to its clock it came to 60.8, and to 64.7 °C.
      expect(one.peak_c).toBeLessThan(60)
      expect(Math.abs(one.late_min)).toBeLessThanOrEqual(5)
    }
  })

  it('as it comes: a leg of seven hours is not pulled as a pink one', () => {
    const { one, minutesOf } = served('leg of lamb 2.4 kg seven hours at 120, 19:00')
    expect((minutesOf('out')[0] ?? 0) - (minutesOf('in')[0] ?? 0)).toBeGreaterThan(330)
    expect(one.tender_min).toBeGreaterThan(50)
    expect(Math.abs(one.late_min)).toBeLessThanOrEqual(5)
  })
})
