import type { Cut } from '@/core/reference/cuts'
import { leastOven } from '@/core/safety/cautions'
import { OF_ONE_HEAT } from '../line/said-roast'
import type { ProgramPart } from '../roast/roast-document'

/** A heat that takes from one hour to another: "in at 9:30, eat at two" says how long, and leaves open how hot. */

/** No roast is done hotter all the way, °C. */
const MOST_C = 220
/** A dial is set to so much, K. */
const DIAL_K = 5
const onDial = (set_c: number): number => DIAL_K * Math.round(set_c / DIAL_K)
/** So near to the hour that was said is at it, s. */
const NEAR_S = 240
/** And so far from it another heat is no answer, s. */
const FAR_S = 1200
const ROUNDS = 6
/** Where the coolest is too cool, the next is so much hotter, so often, K. */
const RAISE_K = 10
const RAISES = 3

/** Whether a program says no heat, and has only one. */
export const leavesHeatOpen = (program: ProgramPart): boolean =>
  !('stages' in program) && OF_ONE_HEAT.has(program.school) && program.set_c == null

/**
 * The setting by which a roast goes in when it was said to, and is ready when it was said to be, °C to 5.
 *
 * @param putInAt when it goes in at a setting, s since 1970; undefined where it makes no plan
 * @param wanted_s when it was said to go in, s since 1970
 * @returns undefined where no oven that is safe for it and roasts makes it take so long, or so short
 */
export async function heatBetween(
  cut: Cut,
  putInAt: (set_c: number) => Promise<number | undefined>,
  wanted_s: number,
): Promise<number | undefined> {
  const quick_s = await putInAt(MOST_C)
  let low_c = DIAL_K * Math.ceil(leastOven(cut) / DIAL_K)
  let slow_s = await putInAt(low_c)
  // Under what it is wanted at no oven gets it there.
  for (let raised = 1; slow_s === undefined && raised <= RAISES; raised++) {
    low_c += RAISE_K
    slow_s = await putInAt(low_c)
  }
  if (slow_s === undefined || quick_s === undefined) return undefined
  if (wanted_s < slow_s - FAR_S || wanted_s > quick_s + FAR_S) return undefined
  let [low, high] = [
    { set_c: low_c, in_s: slow_s },
    { set_c: MOST_C, in_s: quick_s },
  ]
  for (let round = 0; round < ROUNDS && high.set_c - low.set_c > DIAL_K; round++) {
    // Times go down with the heat like one over what it is above the meat: between the straight line and the middle.
    const share = (wanted_s - low.in_s) / Math.max(1, high.in_s - low.in_s)
    const part = Math.min(0.9, Math.max(0.1, round % 2 === 0 ? share / 2 : 0.5))
    const set_c = low.set_c + part * (high.set_c - low.set_c)
    const in_s = await putInAt(set_c)
    if (in_s === undefined) return undefined
    if (Math.abs(in_s - wanted_s) < NEAR_S) return onDial(set_c)
    if (in_s < wanted_s) low = { set_c, in_s }
    else high = { set_c, in_s }
  }
  const nearest = wanted_s - low.in_s < high.in_s - wanted_s ? low : high
  return Math.min(MOST_C, Math.max(low_c, onDial(nearest.set_c)))
}
