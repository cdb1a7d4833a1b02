import { fahrenheitRiseToKelvins } from '@/core/units'
import { tenth } from '../quantity/round'
import { heldNumber } from '../schema/scalars'
import type { Meaning, SaidHeat } from './fact'
import type { LineReading } from './said-roast'
import type { Role } from './scale'

/** A bare number of degrees that is of one scale in any oven. */
const A_HEAT: SaidHeat = { value: 250, unit: undefined }

/** What a line says of the kitchen: its oven against the dial, K, how many there are, and its height, m. */
export function kitchenOf(
  table: readonly Meaning[],
  toCelsius: (heat: SaidHeat, role: Role) => number,
): Pick<LineReading, 'oven_k' | 'altitude_m' | 'ovens'> {
  const facts = table.map(({ fact }) => fact)
  const offset = facts.findLast((fact) => fact.kind === 'offset')
  const ovens = facts.findLast((fact) => fact.kind === 'ovens')
  const high = facts.findLast((fact) => fact.kind === 'altitude')
  const inFahrenheit =
    offset?.unit === 'f' || (offset?.unit === undefined && toCelsius(A_HEAT, 'oven') !== A_HEAT.value)
  return {
    ...(offset ? { oven_k: inFahrenheit ? tenth(fahrenheitRiseToKelvins(offset.by)) : heldNumber(offset.by) } : {}),
    ...(high ? { altitude_m: high.m } : {}),
    ...(ovens ? { ovens: ovens.count } : {}),
  }
}
