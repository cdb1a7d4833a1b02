import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { Ball, check, type Entry, iso, nextByLines, TURNS, wayToTake } from './outside'

/**
 * A kitchen that knows nothing of ours: a ball of meat and an oven written down here, and a cook who reads and sends
 * JSON lines. What `next` says must be enough to cook by.
 */

const PROMISE_S = Date.parse('2026-12-25T19:00:00Z') / 1000
const BEGUN_S = PROMISE_S - 9 * 3600
const STEP_S = 15
const LOOK_S = 600

let lines: ReturnType<typeof nextByLines>
beforeAll(() => {
  lines = nextByLines()
})
afterAll(() => lines.end())

interface Case {
  readonly name: string
  readonly cut: string
  readonly mass_kg: number
  readonly school: string
  readonly serve_c: number
  readonly radius_m: number
  /** Its oven is off what it is set to, K. */
  readonly off_k: number
  readonly points?: readonly string[]
}
/** Cooks it by what `next` answers alone. */
async function cooked({ cut, mass_kg, school, serve_c, radius_m, off_k, points = ['core'] }: Case) {
  const plan = {
    roast: { cut, mass_kg, temper_min: 0 },
    program: { school },
    target: { serve_c },
    promise: iso(PROMISE_S),
  }
  const parts = points.map((_, i) => new Ball(radius_m * (1 - 0.06 * i), 5))
  const entries: object[] = []
  const readings: object[] = []
  let set_c: number | undefined
  let air_c = 21
  let inside = false
  let pan = false
  let begun = false
  let now_s = BEGUN_S
  let due_s = BEGUN_S
  let tookWay_s = 0
  let backs = 0
  let out_s = Number.NaN
  let served_s = Number.NaN
  let asked = 0
  const send = (more: readonly Entry[]) => entries.push(...more.map((entry) => ({ ...entry, at: iso(now_s) })))
  const core = () => Math.min(...parts.map(({ core_c }) => core_c))
  for (; asked < 400 && now_s < PROMISE_S + 4 * 3600; asked++) {
    let calls_c = Number.POSITIVE_INFINITY
    for (; now_s < due_s && core() < calls_c; now_s += STEP_S) {
      const to_c = set_c === undefined ? 21 : set_c + off_k
      air_c += (to_c - air_c) * (STEP_S / 300)
      if (begun)
        for (const part of parts) part.step(STEP_S, inside ? (pan ? 150 : air_c) : 21, inside ? (pan ? 60 : 20) : 8)
      if (begun && now_s % 120 === 0)
        for (const [i, probe] of points.entries())
          readings.push({ at: iso(now_s), c: Math.round(10 * (parts[i] as Ball).core_c) / 10, probe })
    }
    const answer = await lines.ask({ plan, begun: iso(BEGUN_S), now: iso(now_s), entries, readings, members: 64 })
    if (answer.errors) throw new Error(JSON.stringify(answer.errors))
    const [roast] = answer.roasts
    if (!roast) throw new Error('no roast')
    check(answer, roast, serve_c, now_s)
    if (answer.over || roast.state === 'served') {
      served_s = now_s
      break
    }
    const next = answer.actions.find(({ kind, at }) => kind !== 'look' && Date.parse(at) / 1000 <= now_s + STEP_S)
    if (next) {
      if (next.kind === 'heat_up') set_c = next.set_c ?? undefined
      if (next.kind === 'put_in' || next.kind === 'finish' || next.kind === 'change') {
        set_c = next.set_c ?? set_c
        pan = next.where === 'pan'
        inside = true
        begun = true
      }
      if (next.kind === 'pull' || next.kind === 'carve' || next.kind === 'take_off') {
        inside = false
        if (next.kind === 'pull') out_s = now_s
      }
      send(next.enter)
      continue
    }
    const best = wayToTake(roast, tookWay_s, now_s)
    if (best) {
      tookWay_s = now_s
      if (TURNS.has(best.code)) set_c = best.set_c ?? undefined
      if (best.code === 'pull_now') inside = false
      send(best.enter)
      continue
    }
    if (roast.back_in_enter && backs++ < 1) {
      inside = true
      send(roast.back_in_enter)
      continue
    }
    if (inside && roast.pull_c !== null) calls_c = roast.pull_c
    const ahead = answer.actions.map(({ at }) => Date.parse(at) / 1000).filter((at_s) => at_s > now_s)
    due_s = Math.min(now_s + (roast.state === 'resting' ? 300 : LOOK_S), ...ahead)
    // Until the probe reads its pull: looked at each two minutes from then on.
    while (inside && core() >= calls_c - 4 && due_s > now_s + 120) due_s = now_s + 120
    due_s = Math.max(now_s + STEP_S, due_s)
  }
  return {
    late_min: (served_s - PROMISE_S) / 60,
    off_k: Math.min(...parts.map(({ highest_c }) => highest_c)) - serve_c,
    rested_min: (served_s - out_s) / 60,
    asked,
  }
}

const CASES: readonly Case[] = [
  {
    name: 'a rib, steady, in a cool oven',
    cut: 'beef-rib-bone-in',
    mass_kg: 2.7,
    school: 'steady',
    serve_c: 57,
    radius_m: 0.062,
    off_k: -12,
  },
  {
    name: 'a rib, seared last, thicker than it was said',
    cut: 'beef-rib-bone-in',
    mass_kg: 2.5,
    school: 'reverse-sear',
    serve_c: 55,
    radius_m: 0.064,
    off_k: 0,
  },
  {
    name: 'an eye of round in a hot oven',
    cut: 'beef-eye-of-round',
    mass_kg: 1.4,
    school: 'steady',
    serve_c: 60,
    radius_m: 0.044,
    off_k: 12,
  },
  {
    name: 'a loin of pork, hot first',
    cut: 'pork-loin',
    mass_kg: 1.8,
    school: 'hot-start',
    serve_c: 63,
    radius_m: 0.046,
    off_k: 4,
  },
  {
    name: 'a chicken, both its parts read',
    cut: 'chicken',
    mass_kg: 1.8,
    school: 'steady',
    serve_c: 74,
    radius_m: 0.048,
    off_k: -4,
    points: ['breast', 'thigh'],
  },
]

describe('a kitchen of somebody else’s, cooked by what next says', () => {
  it.each(CASES)('$name: at its minute, and done', { timeout: 240_000 }, async (each) => {
    const { late_min, off_k, rested_min, asked } = await cooked(each)
    console.log(`${each.name}: ${late_min.toFixed(0)} min, ${off_k.toFixed(1)} K, ${asked} asked`)
    expect(Math.abs(late_min)).toBeLessThanOrEqual(10)
    expect(off_k).toBeGreaterThanOrEqual(-2)
    expect(off_k).toBeLessThanOrEqual(each.cut === 'chicken' ? 8 : 3)
    expect(rested_min).toBeGreaterThan(5)
    expect(asked).toBeLessThan(200)
  })
})
