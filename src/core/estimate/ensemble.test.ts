import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { DOMESTIC_OVEN } from '../heat/oven'
import { HEAT_PARAMETERS } from '../heat/parameters'
import { findSchool, programOf } from '../program/schools'
import { findCut } from '../reference/cuts'
import { cookEnsemble, taughtDoubt, usualDoubt } from './ensemble'
import { normalQuantile, quantile, seededRandom, stratifiedNormals } from './random'

const cut = findCut('beef-rib-bone-in') as NonNullable<ReturnType<typeof findCut>>
const school = findSchool('steady') as NonNullable<ReturnType<typeof findSchool>>
const ask = (seed: number, measured: boolean, members = 96, doubt = usualDoubt(measured)) =>
  cookEnsemble({
    piece: { cut, mass_kg: 2.7 },
    program: programOf(school, { ...school.usual(cut), set_c: 140 }, cut, 2.7),
    oven: DOMESTIC_OVEN,
    start_c: 6,
    pull_c: [50],
    parameters: HEAT_PARAMETERS,
    doubt,
    members,
    seed,
  })

describe('seeded chance', () => {
  it('the same seed gives the same numbers, another seed others', () => {
    const take = (seed: number) => Array.from({ length: 5 }, seededRandom(seed))
    expect(take(7)).toEqual(take(7))
    expect(take(7)).not.toEqual(take(8))
  })

  it('normal quantiles are those of the tables (Abramowitz and Stegun 26.2.23)', () => {
    expect(normalQuantile(0.5)).toBeCloseTo(0, 3)
    expect(normalQuantile(0.9)).toBeCloseTo(1.2816, 3)
    expect(normalQuantile(0.025)).toBeCloseTo(-1.96, 3)
  })

  it('a stratified column has mean 0 and spread 1, whatever the seed', () => {
    fc.assert(
      fc.property(fc.nat(), (seed) => {
        const values = stratifiedNormals(64, seededRandom(seed))
        const mean = values.reduce((sum, value) => sum + value, 0) / 64
        const spread = Math.sqrt(values.reduce((sum, value) => sum + value * value, 0) / 64)
        expect(Math.abs(mean)).toBeLessThan(0.1)
        expect(spread).toBeGreaterThan(0.85)
        expect(spread).toBeLessThan(1.1)
      }),
      { numRuns: 50 },
    )
  })

  it('quantiles are linear between values', () => {
    expect(quantile([0, 10, 20], 0.25)).toBe(5)
    expect(quantile([3], 0.9)).toBe(3)
  })
})

describe('the ensemble', () => {
  it('gives the same answer for the same seed and nearly the same for another', () => {
    expect(ask(1, false)).toEqual(ask(1, false))
    expect(Math.abs(ask(1, false).pull_s.p50 - ask(2, false).pull_s.p50)).toBeLessThan(300)
  })

  it('orders its quantiles and holds the band around the middle', () => {
    const { pull_s, band } = ask(1, false)
    expect(pull_s.p10).toBeLessThan(pull_s.p50)
    expect(pull_s.p50).toBeLessThan(pull_s.p90)
    for (const row of band) expect(row.low_c).toBeLessThanOrEqual(row.high_c)
  })

  it('measuring the thickness narrows the doubt', () => {
    const width = (answer: ReturnType<typeof ask>) => answer.pull_s.p90 - answer.pull_s.p10
    expect(width(ask(1, true, 192))).toBeLessThan(width(ask(1, false, 192)))
  })

  it('doubts that the evidence leaves open together are drawn together: where one makes up for the other the window is narrower', () => {
    const one = usualDoubt(false)
    const width = (together: number) => {
      const doubt = { ...one, thickness: 0, oven_k: 0, start_k: 0, wetness: 0.3, model: 0.1, together }
      const { pull_s } = ask(1, false, 192, doubt)
      return pull_s.p90 - pull_s.p10
    }
    // Wetter is slower, and what conducts better is quicker.
    expect(width(0.9)).toBeLessThan(0.85 * width(0))
    expect(width(-0.9)).toBeGreaterThan(1.1 * width(0))
    expect(one.together).toBeGreaterThan(0.2)
    // What a kitchen has taught leaves only what differs from piece to piece, and that goes with nothing.
    expect(taughtDoubt(false, { oven_k: 0 }).together).toBe(0)
  })

  it('names what matters most, in shares that a variance can have', () => {
    const { matters } = ask(1, false)
    expect(matters[0]?.share).toBeGreaterThan(0.1)
    expect(matters.reduce((sum, { share }) => sum + share, 0)).toBeLessThan(1.4)
  })
})
