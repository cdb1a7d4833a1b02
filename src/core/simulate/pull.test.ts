import { describe, expect, it } from 'vitest'
import { seededRandom } from '../estimate/random'
import { DOMESTIC_OVEN } from '../heat/oven'
import { HEAT_PARAMETERS } from '../heat/parameters'
import { bodiesOf } from '../heat/piece'
import { SCHOOLS, steadyProgram } from '../program/schools'
import type { Program, Stage } from '../program/stage'
import { CUTS, findCut } from '../reference/cuts'
import { celsius, minutes } from '../units'
import { findPull } from './pull'

const cut = findCut('beef-tenderloin')
if (!cut) throw new Error('no tenderloin')
const oven = { ...DOMESTIC_OVEN, swing_k: 0 }
const bodies = bodiesOf({ cut, mass_kg: 1.8 }, HEAT_PARAMETERS)
const setup = (program: Program, start_c = 5) => ({ bodies, program, oven, start_c, parameters: HEAT_PARAMETERS })

describe('the pull reading', () => {
  it('makes the peak the wanted doneness, and a higher wish a higher reading', () => {
    let before = 0
    for (const serve_c of [48, 52, 56, 60, 66, 72]) {
      const found = findPull(setup(steadyProgram(180, 20)), serve_c)
      expect(Math.abs(Math.min(...found.run.peak_c) - serve_c)).toBeLessThan(0.1)
      expect(found.pull_c[0]).toBeGreaterThan(before)
      expect(found.pull_c[0]).toBeLessThanOrEqual(serve_c)
      before = found.pull_c[0] as number
    }
  })

  it('does not depend on where the search begins', () => {
    const answers = [10, 30, 45, 54, 80].map((guess) => findPull(setup(steadyProgram(200, 20)), 55, guess).pull_c[0])
    for (const answer of answers) expect(answer).toBeCloseTo(answers[0] as number, 0)
  })

  it('is never below its floor, and the peak is then higher than wished', () => {
    const floored = findPull(setup(steadyProgram(180, 20)), 55, undefined, 54)
    expect(floored.pull_c[0]).toBe(54)
    expect(floored.residual_k).toBeGreaterThan(0.5)
  })

  it('never lies outside what there is to pull at: the stage’s beginning and the wanted', () => {
    const random = seededRandom(99)
    for (let i = 0; i < 60; i++) {
      const hot = minutes(Math.floor(random() * 70))
      const stage = (set_c: number, until: Stage['until']): Stage => ({
        role: 'cook',
        environment: { kind: 'oven', heat: 'on', set_c: celsius(set_c) },
        cover: 'bare',
        preheated: true,
        until,
        tending: [],
      })
      const program: Program = {
        school: 'own',
        stages: [
          stage(150 + Math.floor(random() * 130), { kind: 'time', duration_s: hot }),
          stage(80 + Math.floor(random() * 200), { kind: 'pull' }),
          ...steadyProgram(100, Math.floor(random() * 40)).stages.slice(1),
        ],
      }
      const serve_c = 45 + Math.floor(random() * 40)
      const found = findPull(setup(program, Math.floor(random() * 20)), serve_c)
      if (found.outcome !== 'reached') continue
      const began = found.run.stages[0]?.core_c ?? 0
      expect(found.pull_c[0]).toBeLessThanOrEqual(serve_c + 1e-9)
      expect(found.pull_c[0]).toBeGreaterThanOrEqual(Math.min(began, serve_c) - 1e-6)
      expect(found.residual_k).toBeGreaterThan(-0.3)
    }
  })

  it('a program by the clock is cooked once and says what it gives', () => {
    const oven_off = SCHOOLS.find(({ id }) => id === 'oven-off')
    const rib = CUTS.find(({ id }) => id === 'beef-rib-bone-in')
    if (!oven_off || !rib) throw new Error('no rib')
    const program = { school: 'oven-off', stages: oven_off.stages(oven_off.usual(rib), rib, 3) }
    const found = findPull({ ...setup(program), bodies: bodiesOf({ cut: rib, mass_kg: 3 }, HEAT_PARAMETERS) }, 55)
    expect(found.outcome).toBe('fixed_program')
    expect(found.pull_c).toEqual(found.run.pullCore_c)
  })

  it('an oven under the wanted never gets there, and says so without a loop', () => {
    const found = findPull(setup(steadyProgram(55, 20)), 62)
    expect(found.outcome).toBe('time_limit')
    expect(found.run.pulled).toBe(false)
  })
})
