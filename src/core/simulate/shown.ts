import { type ProbeSpec, readingIn, USUAL_PROBE } from '../heat/probe'
import { pullStageIndex } from '../program/stage'
import { cook } from './cook'
import type { CookSetup } from './stepper'

/** What a probe shows of a roast: not its core, but near it. */
export interface Shown {
  /** At the pull, °C. */
  readonly pull_c: number
  /** At its highest after it, °C. */
  readonly peak_c: number
}

/**
 * What a probe shows at the pull and at its highest after it. A usual one lies a little off the core, has a length and a
 * stem in the hot air, so it shows more at the pull than the core has, and climbs less.
 *
 * @param body which of its bodies the probe is in
 * @returns undefined where the pull does not come
 */
export function shownBy(setup: CookSetup, body = 0, probe: ProbeSpec = USUAL_PROBE): Shown | undefined {
  const pull = pullStageIndex(setup.program)
  const stages = setup.program.stages
  let pull_c = Number.NaN
  let peak_c = Number.NEGATIVE_INFINITY
  let after = false
  const { pulled } = cook(setup, {
    bare: true,
    stepped: ({ kernels, air_c, stage }) => {
      const kernel = kernels[body]
      if (!kernel) return false
      const shows = readingIn(kernel, air_c, probe)
      after ||= stages.indexOf(stage) > pull
      if (after) peak_c = Math.max(peak_c, shows)
      else pull_c = shows
      return false
    },
  })
  return pulled && Number.isFinite(pull_c) ? { pull_c, peak_c: Math.max(peak_c, pull_c) } : undefined
}
