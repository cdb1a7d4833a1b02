import { type HeatParameters, parametersVaried } from '../heat/parameters'
import { bodiesOf, type PieceBody, type PieceSize } from '../heat/piece'
import { type EquivalentBall, firstZero } from '../heat/shape'

/**
 * What is not known of a cook, each with its doubt before any reading (one standard deviation).
 *
 * `late` lets the surface take more or less heat as the cook goes on: the physics of the late
 * surface is where models of meat differ, so the doubt about the model itself is part of the state.
 */
export const UNKNOWNS = {
  thickness: 0.12,
  start_k: 2,
  oven_k: 8,
  wetness: 0.45,
  contact: 0.3,
  conduct: 0.07,
  shape: 0.45,
  late: 0.6,
  depth: 1,
  depth2: 1,
} as const
export type Unknown = keyof typeof UNKNOWNS
export const NAMES = Object.keys(UNKNOWNS) as Unknown[]
/** One member's values by name. */
export type Drawn = (name: Unknown) => number

/**
 * Where a probe sits, as a share of the way from the centre to the surface: usually near a tenth, seldom beyond a third.
 * @example depthOf(0) // 0.11
 */
export const depthOf = (z: number): number => Math.min(0.8, 0.11 * Math.exp(0.75 * z))

/** The same volume, surface and slowest mode, with heat from more or fewer directions: not the shape it was said to be. */
function reshaped(ball: EquivalentBall, more: number): EquivalentBall {
  const shape = Math.min(4, Math.max(1, ball.shape + more))
  const radius_m = (ball.radius_m * shape) / ball.shape
  const slowest = ball.conduction * (firstZero(ball.shape) / ball.radius_m) ** 2
  return { shape, radius_m, conduction: slowest * (radius_m / firstZero(shape)) ** 2 }
}

/** The parameters as a member has them. */
export const parametersOf = (of: Drawn, base: HeatParameters): HeatParameters =>
  parametersVaried(base, { conduction: of('conduct'), contact: of('contact') })

/** The bodies as a member has them. @param thickness_m as told or usual, m */
export const bodiesAs = (
  of: Drawn,
  piece: PieceSize,
  thickness_m: number,
  parameters: HeatParameters,
): readonly PieceBody[] => {
  const more = of('shape')
  return bodiesOf(
    {
      ...piece,
      thickness_m: thickness_m * Math.exp(of('thickness')),
      wetness: (piece.wetness ?? 1) * Math.exp(of('wetness')),
    },
    parameters,
  ).map((body) => (more === 0 ? body : { ...body, ball: reshaped(body.ball, more) }))
}

/** `late` counts from this share of its scale on; the scale is about twice the time to half way. */
const LATE_FROM = 0.3
const LATE_LEAST_S = 3600
/** Factor on what the surface takes, by time; undefined where there is no doubt. @param thickness_m told, m */
export const fluxOf = (of: Drawn, thickness_m: number): ((time_s: number) => number) | undefined => {
  const late = of('late')
  if (late === 0) return undefined
  const scale_s = Math.max(LATE_LEAST_S, (4 * thickness_m) / 2 / 1e-5)
  return (time_s) => Math.exp(late * Math.min(1, Math.max(0, time_s / scale_s - LATE_FROM)))
}
