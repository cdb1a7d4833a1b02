import { describe, expect, it } from 'vitest'
import { DOMESTIC_OVEN } from '../heat/oven'
import { HEAT_PARAMETERS } from '../heat/parameters'
import { usualThickness } from '../heat/piece'
import { steadyProgram } from '../program/schools'
import { findCut } from '../reference/cuts'
import { type EstimateSetup, foresee } from './estimate'
import { cookMember } from './member'
import { assimilate } from './posterior'
import { restUntil } from './resting'

const cut = findCut('beef-rib-bone-in')
if (!cut) throw new Error('no cut')
const REST_MIN = 40
const setup: EstimateSetup = {
  piece: { cut, mass_kg: 3 },
  thickness_m: usualThickness(cut, 3, HEAT_PARAMETERS),
  oven: { ...DOMESTIC_OVEN, swing_k: 0 },
  start_c: 5,
  program: steadyProgram(180, REST_MIN),
  pull_c: [52],
  readings: [],
  now_s: 0,
  measured: false,
  parameters: HEAT_PARAMETERS,
  least: { least_c: 56, by: 'hold_table' },
  members: 48,
  seed: 3,
}

describe('a rest that gives way', () => {
  it('lasts until the knife is due, never shorter than its least nor longer than it was meant', () => {
    const knife = { due_s: 7200, least_s: 900 }
    expect(restUntil(knife, 2400, 6000)).toBe(1200)
    expect(restUntil(knife, 2400, 7000)).toBe(900)
    expect(restUntil(knife, 2400, 1000)).toBe(2400)
    expect(restUntil(undefined, 2400, 7000)).toBe(2400)
  })

  it('each core only climbs from the pull to the knife, to the peak of the whole rest', () => {
    const { run, resting } = cookMember(setup, () => 0, [], [], true)
    const rest_s = run.carve_s - run.pull_s
    const peaks = Array.from({ length: 33 }, (_, i) => resting.at(run.pull_s + (i * rest_s) / 32).peak_c[0] as number)
    expect(peaks[0]).toBeCloseTo(run.pullCore_c[0] as number, 6)
    expect(peaks.at(-1)).toBeCloseTo(run.peak_c[0] as number, 6)
    for (let i = 1; i < peaks.length; i++) expect(peaks[i]).toBeGreaterThanOrEqual(peaks[i - 1] as number)
    // Before the pull nothing is asked; after the end it is as at the end.
    expect(resting.at(run.carve_s + 3600).peak_c).toEqual(run.peak_c)
  })

  it('a knife that is due before the core has climbed finds it lower, and less surely safe', () => {
    const posterior = assimilate(setup)
    const whole = foresee(setup, posterior)
    const due_s = whole.pull_s.p50 + 15 * 60
    const short = foresee({ ...setup, knife: { due_s, least_s: 15 * 60 } }, posterior)
    expect(short.pull_s).toEqual(whole.pull_s)
    expect(short.peak_c.p50).toBeLessThan(whole.peak_c.p50 - 1)
    expect(short.peak_c.p50).toBeGreaterThan(52)
    expect(short.safe).toBeLessThan(whole.safe as number)
    // One that comes later than the rest is meant to last changes nothing.
    const late = foresee({ ...setup, knife: { due_s: whole.carve_s.p90 + 7200, least_s: 15 * 60 } }, posterior)
    expect(late.peak_c).toEqual(whole.peak_c)
    expect(late.safe).toBe(whole.safe)
  })

  it('each member is told with its own middle, in the order of the members', () => {
    const posterior = assimilate(setup)
    const { each, pull_s, peak_c, members } = foresee(setup, posterior)
    expect([each.pull_s, each.carve_s, each.peak_c].map(({ length }) => length)).toEqual([members, members, members])
    const middle = (of: Float64Array) => of.toSorted()[members >> 1] as number
    expect(Math.abs(middle(each.pull_s) - pull_s.p50)).toBeLessThan(0.02 * pull_s.p50)
    expect(Math.abs(middle(each.peak_c) - peak_c.p50)).toBeLessThan(0.5)
    // The same question of a part of them is answered by those.
    const some = foresee(setup, posterior, members / 2)
    expect(some.each.pull_s.length).toBe(members / 2)
  })
})
