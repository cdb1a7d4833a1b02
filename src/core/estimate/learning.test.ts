import { describe, expect, it } from 'vitest'
import { type Learned, type Lesson, learn, logLikelihood, NATURES } from './learning'
import { normalQuantile, seededRandom } from './random'

const DAY_S = 86_400
const OVEN = 'oven'
const natureOf = (key: string) => (key === OVEN ? NATURES.oven : NATURES.cut)
const PER_K = -0.011
const PER_THICKNESS = 1.7
const normal = (random: () => number) => normalQuantile(1e-9 + random() * (1 - 2e-9))

/** A cook in an oven that is so far off, of a piece so much thicker: how much longer it took. */
const lesson = (
  oven_k: number,
  cut: string,
  thicker: number,
  day: number,
  random: () => number,
  error = 0.06,
): Lesson => ({
  at_s: day * DAY_S,
  value: PER_K * oven_k + PER_THICKNESS * thicker + error * normal(random),
  error,
  of: [
    { key: OVEN, by: PER_K },
    { key: cut, by: PER_THICKNESS },
  ],
  mayChange: OVEN,
})
const at = (lessons: readonly Lesson[], day: number): Learned => {
  const found = learn(lessons, natureOf, day * DAY_S).get(OVEN)
  if (!found) throw new Error('nothing known of the oven')
  return found
}
const CUTS = ['rib', 'loin', 'fillet', 'leg']

describe('what cooks teach', () => {
  it('is nothing before the first, and surer with each', () => {
    const random = seededRandom(5)
    const lessons = Array.from({ length: 14 }, (_, i) => lesson(-14, CUTS[i % 4] as string, 0, i * 20, random))
    expect(learn([], natureOf, 0).size).toBe(0)
    const spreads = [1, 3, 6, 14].map((n) => at(lessons.slice(0, n), 300).spread)
    expect(spreads[0]).toBeLessThan(NATURES.oven.prior)
    for (let i = 1; i < spreads.length; i++) expect(spreads[i]).toBeLessThan(spreads[i - 1] as number)
    expect(Math.abs(at(lessons, 300).mean + 14)).toBeLessThan(5)
    expect(at(lessons, 300).cooks).toBe(14)
  })

  it('tells an oven from a piece by what is cooked in it besides', () => {
    const random = seededRandom(9)
    // One cut alone: it may be either. With others in the same oven it is the cut.
    const thick = Array.from({ length: 6 }, (_, i) => lesson(0, 'leg', 0.12, i * 15, random, 0.03))
    const others = Array.from({ length: 12 }, (_, i) => lesson(0, CUTS[i % 3] as string, 0, i * 8, random, 0.03))
    const alone = learn(thick, natureOf, 200 * DAY_S)
    const both = learn([...thick, ...others], natureOf, 200 * DAY_S)
    expect(both.get('leg')?.mean).toBeGreaterThan((alone.get('leg')?.mean ?? 1) + 0.01)
    expect(Math.abs(both.get(OVEN)?.mean ?? 99)).toBeLessThan(Math.abs(alone.get(OVEN)?.mean ?? 0))
  })

  it('foretells the next cook better than the mean of past cooks and than nothing, over many kitchens', () => {
    const random = seededRandom(31)
    let learned = 0
    let average = 0
    let none = 0
    for (let kitchen = 0; kitchen < 200; kitchen++) {
      const oven_k = NATURES.oven.prior * normal(random)
      const thicker = Object.fromEntries(CUTS.map((cut) => [cut, NATURES.cut.prior * normal(random)]))
      const lessons = Array.from({ length: 7 }, (_, i) => {
        const cut = CUTS[Math.floor(4 * random())] as string
        return lesson(oven_k, cut, thicker[cut] ?? 0, i * 30, random)
      })
      for (let n = 1; n < 7; n++) {
        const next = lessons[n] as Lesson
        const past = lessons.slice(0, n)
        const known = learn(past, natureOf, n * 30 * DAY_S)
        const [oven, cut] = next.of.map(({ key, by }) => ({
          by,
          ...(known.get(key) ?? { mean: 0, spread: natureOf(key).prior }),
        }))
        const mean = (oven?.by ?? 0) * (oven?.mean ?? 0) + (cut?.by ?? 0) * (cut?.mean ?? 0)
        const spread = Math.hypot(
          (oven?.by ?? 0) * (oven?.spread ?? 0),
          (cut?.by ?? 0) * (cut?.spread ?? 0),
          next.error,
        )
        learned += logLikelihood(next.value, mean, spread)
        average += logLikelihood(next.value, past.reduce((sum, { value }) => sum + value, 0) / n, next.error * 1.4)
        none += logLikelihood(
          next.value,
          0,
          Math.hypot(PER_K * NATURES.oven.prior, PER_THICKNESS * NATURES.cut.prior, next.error),
        )
      }
    }
    expect(learned).toBeGreaterThan(none)
    expect(learned).toBeGreaterThan(average)
  })

  it('holds one odd cook back, and notices an oven that was mended by the second', () => {
    const random = seededRandom(8)
    const cold = Array.from({ length: 9 }, (_, i) => lesson(-18, CUTS[i % 4] as string, 0, i * 10, random, 0.03))
    const one = [...cold, lesson(22, 'rib', 0, 100, random, 0.03)]
    expect(at(one, 101).mean).toBeLessThan(-10)
    expect(at(one, 101).changed_s).toBeUndefined()
    const mended = at([...one, lesson(22, 'loin', 0, 110, random, 0.03)], 111)
    expect(mended.changed_s).toBe(100 * DAY_S)
    expect(mended.mean).toBeGreaterThan(0)
    expect(mended.cooks).toBe(2)
  })

  it('grows less sure while nothing is cooked, and never less than before the first', () => {
    const random = seededRandom(2)
    const lessons = Array.from({ length: 8 }, (_, i) => lesson(8, CUTS[i % 4] as string, 0, i, random))
    expect(at(lessons, 700).spread).toBeGreaterThan(at(lessons, 10).spread)
    expect(at(lessons, 40_000).spread).toBeLessThanOrEqual(NATURES.oven.prior)
  })

  it('does not care for the order, and takes nothing from a cook that taught nothing', () => {
    const random = seededRandom(4)
    const lessons = Array.from({ length: 9 }, (_, i) => lesson(5, CUTS[i % 4] as string, 0.02, i * 9, random))
    const straight = learn(lessons, natureOf, 90 * DAY_S)
    const broken: Lesson = { at_s: 1, value: Number.NaN, error: 0.1, of: [{ key: OVEN, by: 1 }] }
    expect(learn([...lessons].reverse(), natureOf, 90 * DAY_S)).toEqual(straight)
    expect(learn([...lessons, broken, { ...broken, value: 1, error: 0 }], natureOf, 90 * DAY_S)).toEqual(straight)
  })
})
