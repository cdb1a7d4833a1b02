import { newSurroundings, setSurroundings } from '../heat/environment'
import { RoastKernel } from '../heat/kernel'
import type { HeatParameters } from '../heat/parameters'
import type { PieceBody } from '../heat/piece'
import { equivalentBall, plate } from '../heat/shape'
import { COOLING, ROOM_C, SERVING_WARMTH_C, STANDARDS } from '../reference/standards'
import type { CookRun } from './cook'

const STEP_S = 60
const LONGEST_S = 6 * 3600

/**
 * How long the carving board keeps it warm: time from the knife until the mean of the meat falls
 * below serving warmth, tented in room air, s. Moves the run's kernels on and puts them back.
 */
export function warmthAfter(run: CookRun, parameters: HeatParameters): number {
  const around = newSurroundings()
  setSurroundings(around, 'counter', 'still', 'tent', parameters)
  around.air_c = ROOM_C
  around.wall_c = ROOM_C
  let shortest = LONGEST_S
  for (const kernel of run.kernels) {
    kernel.save()
    let time = 0
    while (time < shortest && kernel.mean_c > SERVING_WARMTH_C) {
      kernel.step(STEP_S, around)
      time += STEP_S
    }
    kernel.restore()
    shortest = Math.min(shortest, time)
  }
  return shortest
}

/** How cooling goes: when the middle passes 21 and 5 °C, counted from 57 °C, s. */
export interface Cooling {
  readonly to21_s: number
  readonly to5_s: number
  /** 57 → 21 °C within 2 h and → 5 °C within 4 h more. @see US model Food Code 3-501.14 (from memory). */
  readonly inTime: boolean
}

const COOL_STEP_S = 120

function cooled(kernel: RoastKernel, parameters: HeatParameters, fridge_c: number): Cooling {
  const around = newSurroundings()
  setSurroundings(around, 'fridge', 'still', 'bare', parameters)
  around.air_c = fridge_c
  around.wall_c = fridge_c
  // In a dish under its lid little evaporates.
  around.evaporation = 0.2
  let time = 0
  let to21_s = Number.POSITIVE_INFINITY
  while (time < 48 * 3600 && kernel.core_c > COOLING.to_c) {
    kernel.step(COOL_STEP_S, around)
    time += COOL_STEP_S
    if (to21_s === Number.POSITIVE_INFINITY && kernel.core_c <= COOLING.middle_c) to21_s = time
  }
  const to5_s = kernel.core_c <= COOLING.to_c ? time : Number.POSITIVE_INFINITY
  return { to21_s, to5_s, inTime: to21_s <= COOLING.first_s && to5_s <= COOLING.whole_s }
}

export interface CoolingAdvice {
  /** The piece left whole. */
  readonly whole: Cooling
  /** The thickest slab, m, that cools in time, bare on a cold tray; undefined when even 20 mm does not. */
  readonly slab_m: number | undefined
  readonly slab: Cooling
}

const SLABS_M = [0.1, 0.09, 0.08, 0.07, 0.06, 0.05, 0.04, 0.03, 0.02] as const
/** Face of the slab, m²: its size does not matter, for a plate cools through its thickness. */
const SLAB_FACE_M2 = 0.02

/**
 * Cooling of what is left, whole and cut, in a refrigerator at 3 °C or as it was read, from 57 °C at the middle.
 * @example coolingOf(bodiesOf({ cut: findCut('turkey'), mass_kg: 6 }, HEAT_PARAMETERS)[0], HEAT_PARAMETERS).slab_m // 0.03
 */
export function coolingOf(
  body: PieceBody,
  parameters: HeatParameters,
  fridge_c: number = STANDARDS.coldFridge.value,
): CoolingAdvice {
  const whole = cooled(new RoastKernel({ ...body, exposure: 1 }, parameters, COOLING.from_c, 14), parameters, fridge_c)
  let slab = whole
  for (const thickness of SLABS_M) {
    const half = thickness / 2
    const mass_kg = thickness * SLAB_FACE_M2 * parameters.density_kg_per_m3
    const ball = equivalentBall(plate(half, SLAB_FACE_M2))
    slab = cooled(
      new RoastKernel({ ...body, ball, mass_kg, exposure: 1 }, parameters, COOLING.from_c, 14),
      parameters,
      fridge_c,
    )
    if (slab.inTime) return { whole, slab_m: thickness, slab }
  }
  return { whole, slab_m: undefined, slab }
}
