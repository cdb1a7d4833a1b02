import { describe, expect, it } from 'vitest'
import { DOMESTIC_OVEN } from '../heat/oven'
import { HEAT_PARAMETERS } from '../heat/parameters'
import { bodiesOf } from '../heat/piece'
import { sensedShare, USUAL_PROBE } from '../heat/probe'
import { steadyProgram } from '../program/schools'
import { type Cut, findCut } from '../reference/cuts'
import { cook } from './cook'
import { shownBy } from './shown'

const setup = (set_c: number, pull_c = 52) => ({
  bodies: bodiesOf({ cut: findCut('beef-rib-bone-in') as Cut, mass_kg: 2.7 }, HEAT_PARAMETERS),
  program: steadyProgram(set_c, 40),
  oven: { ...DOMESTIC_OVEN, swing_k: 0 },
  start_c: 5,
  pull_c: [pull_c],
  parameters: HEAT_PARAMETERS,
})

describe('a probe as a thing', () => {
  it('shows more at the pull than the core has, and climbs less: by a degree or two, more out of a hot oven', () => {
    for (const [set_c, most_k] of [
      [110, 1.2],
      [163, 2.5],
      [230, 4],
    ] as const) {
      const truly = cook(setup(set_c))
      const shown = shownBy(setup(set_c))
      if (!shown) throw new Error('no pull')
      const over_k = shown.pull_c - (truly.pullCore_c[0] as number)
      expect(over_k).toBeGreaterThan(0.1)
      expect(over_k).toBeLessThan(most_k)
      expect(shown.peak_c - shown.pull_c).toBeLessThan((truly.peak_c[0] as number) - (truly.pullCore_c[0] as number))
    }
  })
  it('right in the core, without length or stem, shows the core', () => {
    const point = { ...USUAL_PROBE, offCentre_m: 0, sensing_m: 0, stem: 0 }
    expect(shownBy(setup(163), 0, point)?.pull_c).toBeCloseTo(52, 1)
  })
  it('a shallow one shows more still, and in a thin piece more than in a thick one', () => {
    const shallow = shownBy(setup(163), 0, { ...USUAL_PROBE, offCentre_m: 0.02 })
    expect(shallow?.pull_c).toBeGreaterThan((shownBy(setup(163))?.pull_c ?? 99) + 2)
    expect(sensedShare(0.03)).toBeGreaterThan(sensedShare(0.06))
  })
  it('of a roast that is never pulled shows nothing', () => {
    expect(shownBy(setup(60, 75))).toBeUndefined()
  })
})
