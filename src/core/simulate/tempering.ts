import type { OvenSpec } from '../heat/oven'
import type { HeatParameters } from '../heat/parameters'
import { bodiesOf, type PieceSize } from '../heat/piece'
import type { Program } from '../program/stage'
import { type Seconds, seconds } from '../units'
import { cook } from './cook'

const bench = (duration_s: Seconds): Program => ({
  school: 'bench',
  stages: [
    {
      role: 'cook',
      environment: { kind: 'counter' },
      cover: 'bare',
      preheated: false,
      tending: [],
      until: { kind: 'time', duration_s },
    },
  ],
})

/**
 * Mean temperature after the bench, °C: the fridge's, raised by what the model says the bench gives.
 * A stuffed bird is stuffed, and a thin end parted, after the bench: the whole piece stands there.
 *
 * @param start_c mean as it leaves the fridge, °C
 * @param temper_s time on the bench, s
 * @example temperedStart({ cut: findCut('pork-loin'), mass_kg: 1.8 }, 5, 0, DOMESTIC_OVEN, HEAT_PARAMETERS) // 5
 */
export function temperedStart(
  piece: PieceSize,
  start_c: number,
  temper_s: number,
  oven: OvenSpec,
  parameters: HeatParameters,
): number {
  if (temper_s <= 0) return start_c
  const bodies = bodiesOf({ ...piece, stuffed: false, thinEnd: undefined }, parameters)
  const run = cook({
    bodies,
    oven,
    start_c,
    parameters,
    program: bench(seconds(temper_s)),
    pull_c: bodies.map(() => 0),
  })
  return run.kernels[0]?.mean_c ?? start_c
}
