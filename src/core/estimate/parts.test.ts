import { describe, expect, it } from 'vitest'
import type { RoastKernel } from '../heat/kernel'
import { DOMESTIC_OVEN } from '../heat/oven'
import { HEAT_PARAMETERS } from '../heat/parameters'
import { usualThickness } from '../heat/piece'
import { readingIn, USUAL_PROBE } from '../heat/probe'
import { findSchool, programOf, steadyProgram } from '../program/schools'
import { findCut } from '../reference/cuts'
import { cook } from '../simulate/cook'
import { RESOLUTION } from '../simulate/stepper'
import { type EstimateSetup, estimate, foresee } from './estimate'
import { cookMember, tracksOf } from './member'
import { blendedPull, fitsOf, pacedPull, pacesOf } from './pace'
import { assimilate } from './posterior'
import { quantile, seededRandom, stratifiedNormals, uncorrelatedNormals } from './random'
import { exponentialFit, levelOf, type Reading, recentOf } from './reading'
import { smooth } from './smoother'
import { bodiesAs, type Drawn, depthOf, NAMES, parametersOf, UNKNOWNS } from './unknowns'

const cut = findCut('pork-loin')
const turkey = findCut('turkey')
if (!cut || !turkey) throw new Error('no cut')
const thickness_m = usualThickness(cut, 1.8, HEAT_PARAMETERS)
const nothing: Drawn = () => 0
const setup = (more: Partial<EstimateSetup> = {}): EstimateSetup => ({
  piece: { cut, mass_kg: 1.8 },
  thickness_m,
  oven: { ...DOMESTIC_OVEN, swing_k: 0 },
  start_c: 5,
  program: steadyProgram(160, 20),
  pull_c: [58],
  readings: [],
  now_s: 0,
  measured: false,
  parameters: HEAT_PARAMETERS,
  members: 64,
  seed: 3,
  ...more,
})
/** This very piece, cooked by steps so long, s. */
const cooked = (dt_s: number) =>
  cook({
    bodies: bodiesAs(nothing, { cut, mass_kg: 1.8 }, thickness_m, HEAT_PARAMETERS),
    program: steadyProgram(160, 20),
    oven: { ...DOMESTIC_OVEN, swing_k: 0 },
    start_c: 5,
    pull_c: [58],
    parameters: HEAT_PARAMETERS,
    resolution: { ...RESOLUTION.estimate, dt_s },
  })
/** What a probe in its middle reads, each two minutes. */
const truth = cooked(120)
const readingsUntil = (share: number, of = (value_c: number) => value_c): Reading[] =>
  Array.from({ length: truth.curve.length }, (_, i) => ({
    time_s: truth.curve.time_s[i] as number,
    value_c: of((truth.curve.core_c[0] as Float64Array)[i] as number),
  })).filter(({ time_s }) => time_s > 0 && time_s <= share * truth.pull_s)

describe('numbers drawn', () => {
  it('stratified normals have mean nought and spread one, and each slice its own', () => {
    const values = stratifiedNormals(400, seededRandom(1))
    const mean = values.reduce((sum, value) => sum + value, 0) / 400
    const spread = Math.sqrt(values.reduce((sum, value) => sum + value ** 2, 0) / 400)
    expect(Math.abs(mean)).toBeLessThan(0.02)
    expect(Math.abs(spread - 1)).toBeLessThan(0.03)
    const sorted = Float64Array.from(values).sort()
    expect(quantile(sorted, 0.9)).toBeCloseTo(1.28, 1)
  })
})

describe('columns that go with nothing', () => {
  it('are symmetric, of one spread, and none goes with another', () => {
    const columns = uncorrelatedNormals(6, 64, seededRandom(5))
    columns.forEach((a, i) => {
      expect(Math.abs(a.reduce((sum, value) => sum + value, 0))).toBeLessThan(1e-9)
      columns.forEach((b, j) => {
        const along = a.reduce((sum, value, m) => sum + value * (b[m] as number), 0) / 64
        expect(along).toBeCloseTo(i === j ? 1 : 0, 6)
      })
    })
    expect(
      uncorrelatedNormals(11, 8, seededRandom(5))
        .flatMap((each) => [...each])
        .every(Number.isFinite),
    ).toBe(true)
  })
})

describe('the smoother', () => {
  it('finds the posterior of a straight-line problem: its mean as theory has it, its spread no narrower and less than before', () => {
    const members = 4000
    const random = seededRandom(8)
    const prior = stratifiedNormals(members, random)
    const theta = [Float64Array.from(prior)]
    const noise = 0.5
    // d = 2 θ, read once as 2: posterior mean 2·2/(4 + 0.5), variance 0.5/(4 + 0.5).
    const predictions = Float64Array.from(prior, (value) => 2 * value)
    smooth(theta, predictions, [2], members, noise)
    const column = theta[0] as Float64Array
    const mean = column.reduce((sum, value) => sum + value, 0) / members
    const variance = column.reduce((sum, value) => sum + (value - mean) ** 2, 0) / members
    expect(mean).toBeCloseTo(4 / 4.5, 1)
    expect(variance).toBeGreaterThan(0.5 / 4.5)
    expect(variance).toBeLessThan(0.4)
  })

  it('leaves alone what the reading says nothing of', () => {
    const members = 2000
    const random = seededRandom(9)
    const seen = stratifiedNormals(members, random)
    const unseen = stratifiedNormals(members, random)
    const theta = [Float64Array.from(seen), Float64Array.from(unseen)]
    smooth(theta, Float64Array.from(seen), [1.5], members, 0.1)
    const mean = (theta[1] as Float64Array).reduce((sum, value) => sum + value, 0) / members
    expect(Math.abs(mean)).toBeLessThan(0.1)
  })
})

describe('levels and tracks', () => {
  it('a straight line is read back, with no doubt; a flat or short one says nothing', () => {
    const times = Array.from({ length: 20 }, (_, i) => i * 60)
    const level = levelOf(
      times,
      times.map((time_s) => 20 + time_s / 200),
      1140,
    )
    expect(level?.value_c).toBeCloseTo(20 + 1140 / 200, 6)
    expect(level?.slope_per_s).toBeCloseTo(1 / 200, 6)
    expect(level?.doubt).toBeLessThan(1e-6)
    expect(
      levelOf(
        times,
        times.map(() => 20),
        1140,
      ),
    ).toBeUndefined()
    expect(levelOf(times.slice(0, 5), [1, 2, 3, 4, 5], 240)).toBeUndefined()
  })

  it('only the last sitting of the last point counts as recent', () => {
    const at = (time_s: number, more: Partial<Reading> = {}): Reading => ({ time_s, value_c: 20, ...more })
    const readings = [at(100), at(1000, { body: 1 }), at(1500, { sitting: 1 }), at(1600, { sitting: 1 })]
    expect(recentOf(readings, 1600).map(({ time_s }) => time_s)).toEqual([1500, 1600])
  })

  it('each probe in each sitting is a track; the one shown comes first', () => {
    const readings: Reading[] = [
      { time_s: 60, value_c: 5, body: 0 },
      { time_s: 60, value_c: 6, body: 1 },
      { time_s: 120, value_c: 6, body: 1, sitting: 1 },
    ]
    const tracks = tracksOf(readings)
    expect(tracks).toHaveLength(3)
    expect(tracks[0]).toEqual({ body: 1, depth: 'depth2', indices: [2] })
  })
})

describe('a member', () => {
  it('without doubt reads what the roast reads', () => {
    const readings = readingsUntil(0.7)
    const { predicted, run } = cookMember(setup({ now_s: 0 }), nothing, readings, tracksOf(readings), true)
    expect(Math.abs(run.pull_s / truth.pull_s - 1)).toBeLessThan(0.002)
    // It sits a tenth off the centre by the usual depth, so it reads a little higher, never lower.
    readings.forEach(({ value_c }, i) => {
      expect(predicted[i] as number).toBeGreaterThan(value_c - 0.2)
      expect(predicted[i] as number).toBeLessThan(value_c + 4)
    })
  })

  it('in doubt its probe has a place off the middle and a stem in the hot air, as a plan’s has', () => {
    const readings = Array.from({ length: 8 }, (_, i) => ({ time_s: (i + 1) * 600, value_c: 0 }))
    const { predicted } = cookMember(setup(), nothing, readings, tracksOf(readings), false)
    const bodies = bodiesAs(nothing, { cut, mass_kg: 1.8 }, thickness_m, HEAT_PARAMETERS)
    const radius_m = bodies[0]?.ball.radius_m as number
    const probe = { ...USUAL_PROBE, sensing_m: 0, offCentre_m: depthOf(0) * radius_m }
    const shown: number[] = []
    cook(
      {
        bodies,
        program: steadyProgram(160, 20),
        oven: { ...DOMESTIC_OVEN, swing_k: 0 },
        start_c: 5,
        pull_c: [58],
        parameters: HEAT_PARAMETERS,
        resolution: RESOLUTION.estimate,
      },
      {
        bare: true,
        stepped: ({ kernels, air_c, time_s }) => {
          if (time_s % 600 === 0) shown.push(readingIn(kernels[0] as RoastKernel, air_c, probe))
          return false
        },
      },
    )
    expect(shown.length).toBeGreaterThan(5)
    predicted.forEach((value_c, i) => {
      if (i < shown.length) expect(value_c).toBeCloseTo(shown[i] as number, 1)
    })
    // A two-hundredth of what lies between meat and air, early most.
    expect((shown[0] as number) - 5).toBeGreaterThan(0.5)
  })

  it('its course is at each five minutes what the core is then, however long its steps', () => {
    const { course } = cookMember(setup({ now_s: 0 }), nothing, readingsUntil(0.7), [], true)
    const fine = cooked(20).curve
    for (let slot = 1; slot < 12; slot++) {
      const row = fine.time_s.findIndex((time_s) => time_s >= slot * 300 - 1)
      expect(Math.abs((course[slot] as number) - ((fine.core_c[0] as Float64Array)[row] as number))).toBeLessThan(0.4)
    }
  })

  it('each unknown moves it the way it should', () => {
    const pull = (name: string, value: number) =>
      cookMember(setup(), (each) => (each === name ? value : 0), [], [], true).run.pull_s
    expect(pull('thickness', 0.1)).toBeGreaterThan(pull('thickness', -0.1))
    expect(pull('start_k', 3)).toBeLessThan(pull('start_k', -3))
    expect(pull('oven_k', 10)).toBeLessThan(pull('oven_k', -10))
    expect(pull('wetness', 0.4)).toBeGreaterThan(pull('wetness', -0.4))
    expect(pull('contact', 0.3)).toBeLessThan(pull('contact', -0.3))
    expect(pull('conduct', 0.07)).toBeLessThan(pull('conduct', -0.07))
    expect(pull('drying', 1)).toBeGreaterThan(pull('drying', -1))
    expect(pull('depth', 1)).toBe(pull('depth', -1))
    expect(new Set(NAMES).size).toBe(Object.keys(UNKNOWNS).length)
  })

  it('drawn parameters stay physical', () => {
    const wild: Drawn = () => 2
    const parameters = parametersOf(wild, HEAT_PARAMETERS)
    expect(parameters.conductivity_factor).toBeGreaterThan(0)
    for (const body of bodiesAs(wild, { cut: turkey, mass_kg: 6, stuffed: true }, 0.1, parameters))
      expect(body.mass_kg).toBeGreaterThan(0)
  })
})

describe('pace', () => {
  it('leaves a member that is right where it is, early and late', () => {
    for (const share of [0.3, 0.6, 0.9]) {
      const readings = readingsUntil(share)
      const now_s = share * truth.pull_s
      const certain = setup({ readings, now_s, certain: true })
      const member = cookMember(certain, nothing, readings, tracksOf(readings), true)
      const [pace] = pacesOf(readings, 1, now_s)
      const [probe] = member.probes
      if (!pace || !probe) continue
      expect(Math.abs(pacedPull(member.run, probe, pace, now_s).pull_s - member.run.pull_s)).toBeLessThan(
        RESOLUTION.estimate.dt_s,
      )
    }
  })

  it('late in the cook a reading ahead of the member brings the pull forward', () => {
    const readings = readingsUntil(0.85, (value_c) => value_c + 2)
    const now_s = 0.85 * truth.pull_s
    const member = cookMember(setup({ readings, now_s, certain: true }), nothing, readings, tracksOf(readings), true)
    const [pace] = pacesOf(readings, 1, now_s)
    const [probe] = member.probes
    if (!pace || !probe) throw new Error('no pace')
    expect(pacedPull(member.run, probe, pace, now_s).pull_s).toBeLessThan(member.run.pull_s - 60)
  })

  it('a core that is read to climb slower than a member is foretold to climb less in its rest', () => {
    const now_s = 0.85 * truth.pull_s
    const climbsOf = (share: number) => {
      const readings = readingsUntil(0.85, (value_c) => 45 + share * (value_c - 45))
      const asked = setup({ readings, now_s, certain: true })
      const member = cookMember(asked, nothing, readings, tracksOf(readings), true)
      const [pace] = pacesOf(readings, 1, now_s)
      const [probe] = member.probes
      if (!pace || !probe) throw new Error('no pace')
      const found = foresee(asked, assimilate(asked))
      return {
        pace: pacedPull(member.run, probe, pace, now_s).pace,
        rise_k: found.peak_c.p50 - (found.points[0]?.pull_c ?? 0),
      }
    }
    const asTold = climbsOf(1)
    const slower = climbsOf(0.7)
    expect(asTold.pace).toBeCloseTo(1, 1)
    expect(slower.pace).toBeLessThan(0.85)
    expect(slower.rise_k).toBeLessThan(0.9 * asTold.rise_k)
  })

  it('a core that fell and climbs again is where it is now, not where it read the same before', () => {
    const time_s = Array.from({ length: 91 }, (_, i) => i * 60)
    // Up to 56, down to 52 while its oven was dead, up again: at the 80th minute it reads 56 for the third time.
    const value_c = time_s.map((_, i) => (i < 40 ? 16 + i : i < 60 ? 56 - (i - 40) * 0.2 : 52 + (i - 60) * 0.2))
    const now_s = 80 * 60
    const readings = time_s
      .map((time, i) => ({ time_s: time, value_c: value_c[i] as number }))
      .filter(({ time_s: t }) => t <= now_s)
    const [pace] = pacesOf(readings, 1, now_s)
    if (!pace) throw new Error('no pace')
    const pull_s = 86 * 60
    expect(
      Math.abs(pacedPull({ pull_s, ready_s: undefined }, { time_s, value_c }, pace, now_s).pull_s - pull_s),
    ).toBeLessThan(300)
  })

  it('near the end half of what the curve itself says is taken, early nothing, and never a wild fit', () => {
    expect(blendedPull(6000, { end_s: 8000, trust: 1 }, 6000, 1500)).toBe(6000)
    expect(blendedPull(6000, { end_s: 6600, trust: 1 }, 6000, 5400)).toBe(6300)
    expect(blendedPull(6000, { end_s: 99_000, trust: 1 }, 6000, 5400)).toBe(6300)
    expect(blendedPull(6000, { end_s: 0, trust: 1 }, 6000, 5400)).toBe(5850)
  })

  it('a curve is carried on by its own bend, and by nothing while a change is near', () => {
    const readings = Array.from({ length: 30 }, (_, i) => ({
      time_s: i * 60,
      value_c: 60 - 40 * Math.exp((-i * 60) / 3000),
    }))
    const end_s = -3000 * Math.log(10 / 40)
    const asked = { now_s: 29 * 60, pull_c: [50], changes: [] }
    expect(Math.abs((fitsOf(asked, readings)[0]?.end_s ?? 0) / end_s - 1)).toBeLessThan(0.03)
    expect(fitsOf({ ...asked, changes: [{ time_s: 1000, set_c: 120 }] }, readings)).toEqual([undefined])
    expect(fitsOf({ ...asked, pull_c: [50, 50] }, readings)[1]).toBeUndefined()
    expect(fitsOf(asked, readings)[0]?.trust).toBeGreaterThan(0.9)
  })

  it('where its readings are noisy it is believed as far as it holds still', () => {
    const random = seededRandom(81)
    const noise = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
    const end_s = 7200
    const worst = (trusted: boolean) => {
      let most = 0
      for (let round = 0; round < 100; round++) {
        const readings = Array.from({ length: 26 }, (_, i) => ({
          time_s: 4000 + i * 60,
          value_c: 100 - 95 * Math.exp(-(4000 + i * 60) / 9000) + 0.2 * noise(),
        }))
        const now_s = 5500
        const [fit] = fitsOf({ now_s, pull_c: [100 - 95 * Math.exp(-end_s / 9000)], changes: [] }, readings)
        if (!fit) throw new Error('no fit')
        const blended = blendedPull(end_s, trusted ? fit : { ...fit, trust: 1 }, end_s, now_s)
        most = Math.max(most, Math.abs(blended - end_s))
      }
      return most
    }
    expect(worst(true)).toBeLessThan(0.6 * worst(false))
  })
})

describe('a curve fitted to anything', () => {
  it('answers an end ahead of the last reading or none, whatever was read', () => {
    const random = seededRandom(77)
    for (let round = 0; round < 300; round++) {
      const count = Math.floor(random() * 40)
      const wild = random() < 0.3
      const readings = Array.from({ length: count }, (_, i) => ({
        time_s: i * (30 + 90 * random()),
        value_c: wild ? 400 * random() - 60 : 20 + i * random(),
      })).sort((a, b) => a.time_s - b.time_s)
      const end_s = exponentialFit(readings, 20 + 60 * random())
      expect(Number.isNaN(end_s)).toBe(false)
    }
  })
})

describe('the estimate as a whole', () => {
  it('a reading that no belief comes near is set aside, and the arrival is as without it', () => {
    const readings = readingsUntil(0.5)
    const now_s = 0.5 * truth.pull_s
    const plain = estimate(setup({ readings, now_s }))
    const spoilt = [...readings]
    spoilt.splice(10, 0, { time_s: (readings[9]?.time_s ?? 0) + 1, value_c: 95 })
    const found = estimate(setup({ readings: spoilt, now_s }))
    expect(found.aside).toContain(10)
    expect(Math.abs(found.pull_s.p50 / plain.pull_s.p50 - 1)).toBeLessThan(0.05)
  })

  it('the knife is the pull, the rest and the finish', () => {
    const reverse = findSchool('reverse-sear')
    if (!reverse) throw new Error('no school')
    const program = programOf(reverse, { set_c: 110, hot_c: 250, hot_min: 8, rest_min: 40 }, cut, 1.8)
    const found = estimate(setup({ program }))
    expect(found.carve_s.p50 - found.pull_s.p50).toBeCloseTo(48 * 60, -1)
    expect(found.peak_c.p50).toBeGreaterThan(58)
  })

  it('what the clock ends comes when the clock says, and readings do not move it', () => {
    const off = findSchool('oven-off')
    const rib = findCut('beef-rib-bone-in')
    if (!off || !rib) throw new Error('no school')
    const program = programOf(off, off.usual(rib), rib, 3)
    const piece = { cut: rib, mass_kg: 3 }
    const of = (readings: Reading[]) =>
      estimate(setup({ piece, thickness_m: usualThickness(rib, 3, HEAT_PARAMETERS), program, readings, now_s: 3000 }))
    const expected = (33 + 120) * 60
    expect(of([]).pull_s).toEqual({ p10: expected, p50: expected, p90: expected })
    expect(of(readingsUntil(0.5)).pull_s.p50).toBe(expected)
  })

  it('an oven that cannot do it has no arrival, and says how many get there', () => {
    const found = estimate(setup({ program: steadyProgram(60, 20), pull_c: [75], members: 16 }))
    expect(Number.isNaN(found.pull_s.p50)).toBe(true)
    expect(found.arriving).toBeLessThan(0.5)
    expect(found.course).toEqual([])
  })

  it('two ways asked of the same belief differ by what was changed alone', () => {
    const readings = readingsUntil(0.4)
    const now_s = 0.4 * truth.pull_s
    const here = setup({ readings, now_s })
    const belief = assimilate(here)
    const left = foresee(here, belief, 24)
    expect(foresee(here, belief, 24)).toEqual(left)
    const hotter = foresee({ ...here, changes: [{ time_s: now_s + 1, set_c: 190 }] }, belief, 24)
    expect(hotter.pull_s.p50).toBeLessThan(left.pull_s.p50)
    expect(hotter.inferred).toEqual(left.inferred)
  })

  it('both probes of a bird are used, and the least done decides', () => {
    const bodies = bodiesAs(
      nothing,
      { cut: turkey, mass_kg: 5 },
      usualThickness(turkey, 5, HEAT_PARAMETERS),
      HEAT_PARAMETERS,
    )
    const bird = setup({
      piece: { cut: turkey, mass_kg: 5 },
      thickness_m: usualThickness(turkey, 5, HEAT_PARAMETERS),
      program: steadyProgram(165, 30),
      pull_c: bodies.map(() => 71),
      members: 48,
    })
    const slowThigh = Array.from({ length: 60 }, (_, i) => [
      { time_s: (i + 1) * 60, value_c: 5 + i * 0.55, body: 0 },
      { time_s: (i + 1) * 60, value_c: 5 + i * 0.3, body: 1 },
    ]).flat()
    const both = estimate({ ...bird, readings: slowThigh, now_s: 3600 })
    const breastOnly = estimate({ ...bird, readings: slowThigh.filter(({ body }) => body === 0), now_s: 3600 })
    expect(both.pull_s.p50).toBeGreaterThan(breastOnly.pull_s.p50)
    expect(both.points).toHaveLength(2)
  })
})
