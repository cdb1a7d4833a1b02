import { describe, expect, it } from 'vitest'
import { arrivalAt, asByHand } from '@/domain/accuracy/arrival'
import { trueBird } from '@/stand-ins/truth/bird'
import { trueCook } from '@/stand-ins/truth/truth'
import { type Pace, pacedPull, pacesOf, readsOver } from './pace'
import { seededRandom } from './random'
import { BY_HAND_K, fewOf, LEVEL_LEAST, LEVEL_SPAN_S, type Reading } from './reading'

/** A core that climbs by half a kelvin a minute from 20 °C. */
const climb = (time_s: number) => 20 + time_s / 120
const course = () => {
  const time_s = Array.from({ length: 121 }, (_, i) => i * 60)
  return { time_s, value_c: time_s.map(climb) }
}
const byHand = (minutes: readonly number[], of = climb): Reading[] =>
  minutes.map((minute) => ({ time_s: minute * 60, value_c: of(minute * 60) }))
const paceOf = (readings: readonly Reading[], now_s: number): Pace => {
  const [pace] = pacesOf(readings, 1, now_s)
  if (!pace) throw new Error('no pace')
  return pace
}

describe('a few readings by hand', () => {
  it('any two or three lie on the line they were taken from, at any moment after', () => {
    const random = seededRandom(61)
    for (let i = 0; i < 300; i++) {
      const slope = 0.0005 + 0.01 * random()
      const times = Array.from({ length: 2 + Math.floor(2 * random()) }, () => Math.round(7200 * random()))
      times.sort((a, b) => a - b)
      const now_s = (times.at(-1) ?? 0) + 900 * random()
      const values = times.map((time_s) => 10 + slope * time_s)
      const found = fewOf(times, values, now_s)
      const apart_s = (times.at(-1) ?? 0) - (times[0] ?? 0)
      if (!found || Number.isNaN(found.slope_per_s)) {
        expect(apart_s).toBeLessThan(260)
        continue
      }
      expect(found.value_c).toBeCloseTo(10 + slope * now_s, 6)
      expect(found.slope_per_s).toBeCloseTo(slope, 9)
      // Farther apart they say more, and never are they sure.
      expect(found.doubt * slope * apart_s).toBeGreaterThan(BY_HAND_K)
      expect(found.doubt * slope * apart_s).toBeLessThan(2 * BY_HAND_K)
    }
  })

  it('one alone says where it stands and no pace; none, and a core that falls, say nothing', () => {
    expect(fewOf([600], [41], 900)).toEqual({
      value_c: 41,
      slope_per_s: Number.NaN,
      doubt: Number.POSITIVE_INFINITY,
    })
    expect(fewOf([], [], 900)).toBeUndefined()
    expect(fewOf([0, 900], [50, 48], 900)).toBeUndefined()
    expect(fewOf([600, 660], [41, 41.2], 700)?.value_c).toBe(41.2)
  })

  it('are taken from the last fifty minutes, three at the most, where a probe would be read eight times', () => {
    const few = paceOf(byHand([1, 12, 40, 52, 64]), 64 * 60)
    expect(few).toMatchObject({ isFew: true, times: [40, 52, 64].map((minute) => minute * 60) })
    expect(paceOf(byHand([1, 64]), 64 * 60).times).toEqual([64 * 60])
    expect(pacesOf(byHand([1]), 1, 64 * 60)).toEqual([undefined])
    const every = LEVEL_SPAN_S / 60 / (LEVEL_LEAST + 2)
    const many = byHand(Array.from({ length: 20 }, (_, i) => i * every))
    expect(paceOf(many, 19 * every * 60).isFew).toBe(false)
  })
})

describe('a member beside them', () => {
  const pull_s = 110 * 60

  it('that is right is left where it is', () => {
    for (const minutes of [[70], [60, 72], [50, 62, 74], [72, 80, 90]]) {
      const now_s = (minutes.at(-1) as number) * 60
      const paced = pacedPull({ pull_s, ready_s: undefined }, course(), paceOf(byHand(minutes), now_s), now_s)
      expect(Math.abs(paced.pull_s - pull_s)).toBeLessThan(30)
      expect(paced.pace).toBeCloseTo(1, 2)
      // By what one reading may be off, at half a kelvin a minute.
      expect(paced.off_s).toBeGreaterThan(30)
      expect(paced.off_s).toBeLessThanOrEqual(BY_HAND_K * 120 + 1)
    }
  })

  it('comes as much sooner as it is read to be ahead, late in the cook', () => {
    const now_s = 90 * 60
    const ahead = (k: number) =>
      pacedPull(
        { pull_s, ready_s: undefined },
        course(),
        paceOf(
          byHand([90], (t) => climb(t) + k),
          now_s,
        ),
        now_s,
      ).pull_s
    // Three kelvin are six minutes.
    expect(ahead(0) - ahead(3)).toBeGreaterThan(300)
    expect(ahead(0) - ahead(3)).toBeLessThan(420)
    expect(ahead(-3) - ahead(0)).toBeGreaterThan(300)
  })

  it('that thinks it is done is colder by what was read since, and one reading alone goes on as the member does', () => {
    const now_s = 90 * 60
    const over = (minutes: readonly number[], k: number) =>
      readsOver(
        course(),
        paceOf(
          byHand(minutes, (t) => climb(t) - k),
          now_s,
        ),
        55,
        now_s,
      )
    expect(over([90], 0)).toBeCloseTo(climb(now_s) - Math.max(55, climb(now_s)), 6)
    for (const minutes of [[80], [66, 80], [55, 66, 80]]) expect(over(minutes, 6)).toBeCloseTo(6, 1)
  })
})

describe('cooks of other physics, read by hand', () => {
  const cooks = [30101, 30102, 30103, 30104].flatMap((seed) => [trueCook(seed), trueBird(seed)])

  it('every point is read each time, now at the last, never from the future', () => {
    for (const cook of cooks) {
      const now_s = 0.8 * cook.pull_s
      const readings = asByHand(cook, now_s, 3)
      const bodies = new Set(cook.readings.map(({ body }) => body ?? 0)).size
      expect(readings.length % bodies).toBe(0)
      expect(readings.every(({ time_s }) => time_s <= now_s)).toBe(true)
      expect(now_s - (readings.at(-1)?.time_s ?? 0)).toBeLessThanOrEqual(60)
      expect(readings.length / bodies).toBeLessThan((0.5 * cook.pull_s) / 720 + 3)
    }
  })

  it('arrive nearer than a straight line through the last two says', () => {
    const checks = cooks.map((cook) => arrivalAt(cook, 0.85, 48, 5, true))
    const mean = (of: (check: (typeof checks)[number]) => number) =>
      checks.reduce((sum, check) => sum + Math.abs(of(check)), 0) / checks.length
    expect(mean(({ error }) => error)).toBeLessThan(0.035)
    expect(mean(({ error }) => error)).toBeLessThan(0.8 * mean(({ straight }) => straight))
  })
})
