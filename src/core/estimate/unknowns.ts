import { type HeatParameters, parametersVaried } from '../heat/parameters'
import { bodiesOf, type PieceBody, type PieceSize } from '../heat/piece'
import { type EquivalentBall, firstZero } from '../heat/shape'
import type { Program } from '../program/stage'

/**
 * What is not known of a cook, each with its doubt before any reading (one standard deviation).
 *
 * `drying` is the time in which the surface stops being wet, times e to its power: the physics of the late
 * surface is where models of meat differ, so the doubt about the model itself is part of the state. `cooling` is how long
 * an oven that is off stays hot, times e to its power (common practice: 30 to 90 min); no doubt where none goes off.
 */
export const UNKNOWNS = {
  thickness: 0.16,
  start_k: 2,
  oven_k: 8,
  wetness: 0.85,
  contact: 0.3,
  conduct: 0.18,
  shape: 0.45,
  drying: 1,
  second: 0.2,
  depth: 0.7,
  depth2: 0.7,
  cooling: 0.4,
} as const
/**
 * Where the middle lies before any reading, where not at what the plan has. Wetter and sooner dry is as likely by the
 * charts as what is in use, for they only know the end; a probe also sees the way there.
 */
export const MIDDLE: Readonly<Partial<Record<keyof typeof UNKNOWNS, number>>> = { wetness: 0.6, drying: -0.6 }
export type Unknown = keyof typeof UNKNOWNS
/**
 * What no unknown names (how water moves, how a surface yields, what a piece is shaped like inside) shows in readings
 * once a core climbs, and these take it up: they are doubted so much then.
 */
const UNNAMED: Readonly<Partial<Record<Unknown, number>>> = { contact: 0.7, conduct: 0.6, shape: 1.2 }
/** From this share of the way to its pull on a climb shows all of it. */
const SHOWS = 0.3

/**
 * The doubt of an unknown before its readings are taken in, one standard deviation.
 * @param climbed share of the way from its start to its pull that has been read, 0–1
 * @example doubtOf('conduct', 0) // 0.18
 */
export function doubtOf(name: Unknown, climbed: number): number {
  const shown = Math.min(1, Math.max(0, climbed / SHOWS))
  return UNKNOWNS[name] + shown * ((UNNAMED[name] ?? UNKNOWNS[name]) - UNKNOWNS[name])
}
/** Whether its oven is off in a stretch of it: how fast that cools is then one of its unknowns.
 * @example goesOff(steadyProgram(160, 20)) // false
 */
export const goesOff = ({ stages }: Program): boolean =>
  stages.some(({ environment, role }) => role !== 'rest' && environment.kind === 'oven' && environment.heat === 'off')
/** Whether an unknown is one of a program's.
 * @example isUnknownOf('cooling', steadyProgram(160, 20)) // false
 */
export const isUnknownOf = (name: Unknown, program: Program): boolean => name !== 'cooling' || goesOff(program)
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
  return { ...ball, shape, radius_m, conduction: slowest * (radius_m / firstZero(shape)) ** 2 }
}

/** The parameters as a member has them. */
export const parametersOf = (of: Drawn, base: HeatParameters): HeatParameters =>
  parametersVaried(base, { conduction: of('conduct'), contact: of('contact'), drying: of('drying') })

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
  ).map((body, i) => ({
    ...body,
    ...(more === 0 ? {} : { ball: reshaped(body.ball, more) }),
    ...(i === 1 ? { exposure: Math.min(1, body.exposure * Math.exp(of('second'))) } : {}),
  }))
}
