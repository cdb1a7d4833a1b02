import type { OvenSpec } from '../heat/oven'
import { HEAT_PARAMETERS, type HeatParameters, parametersAt } from '../heat/parameters'
import { bodiesOf, type PieceBody, type PieceSize, usualThickness } from '../heat/piece'
import { type Program, staysInHeat } from '../program/stage'
import { donenessScale } from '../reference/doneness'
import { temperedStart } from '../simulate/tempering'

/** What a roast physically is before its program: the same for a plan, a meal, a simulation and a cook in progress. */
export interface RoastStart {
  readonly piece: PieceSize
  readonly oven: OvenSpec
  /** Mean as it leaves the fridge, °C. */
  readonly start_c: number
  /** Centre still colder than the rest, °C: part-frozen. */
  readonly startCore_c?: number | undefined
  /** Time on the bench before it goes in, s. */
  readonly temper_s: number
  /** Height of the kitchen over the sea, m: water boils sooner up there. */
  readonly altitude_m: number
  readonly parameters?: HeatParameters | undefined
}

/** A roast ready to be simulated. */
export interface PreparedRoast {
  readonly piece: PieceSize
  readonly oven: OvenSpec
  readonly bodies: readonly PieceBody[]
  /** Mean at put-in, °C. */
  readonly start_c: number
  readonly startCore_c: number | undefined
  readonly parameters: HeatParameters
  /** Never pulled below this reading to rest, °C: see pullFloor. */
  readonly floor_c: number | undefined
  readonly thickness_m: number
}

/**
 * The least reading that a program may pull it at, °C; undefined where any will do. What goes straight on in the heat
 * climbs there, and is not pulled to rest.
 * @param floor_c the least that its kind is pulled at
 * @example pullFloor(71, steadyProgram(160, 20)) // 71
 */
export const pullFloor = (floor_c: number | undefined, program: Program): number | undefined =>
  staysInHeat(program) ? undefined : floor_c

/**
 * Works out what goes into the oven: its bodies, its temperature after the bench, the air it cooks in.
 * @example prepareRoast({ piece: { cut: findCut('pork-loin'), mass_kg: 1.8 }, oven: DOMESTIC_OVEN, start_c: 5, temper_s: 0, altitude_m: 0 }).start_c // 5
 */
export function prepareRoast(start: RoastStart): PreparedRoast {
  const { piece, oven } = start
  const parameters = parametersAt(start.altitude_m, start.parameters ?? HEAT_PARAMETERS)
  return {
    piece,
    oven,
    bodies: bodiesOf(piece, parameters),
    start_c: temperedStart(piece, start.start_c, start.temper_s, oven, parameters),
    startCore_c: start.startCore_c,
    parameters,
    floor_c: donenessScale(piece.cut.doneness).pullFloor_c,
    thickness_m: piece.thickness_m ?? usualThickness(piece.cut, piece.mass_kg, parameters, piece.legs),
  }
}
