import { celsius, fahrenheitToCelsius } from '@/core/units'
import { heldNumber } from '../schema/scalars'
import type { Meaning, SaidHeat, SaidStage } from './fact'

/** What the bare numbers of a line are: °C or °F. */

/** The hottest a dial goes in °C, and the warmest a core is wanted: a bare number above is °F. */
const HOTTEST_C = 300
const CORE_MOST_C = 105
/** The coolest an oven is set in °F, and the coolest core, that anybody means so. */
const OVEN_LEAST_F = 150
const CORE_LEAST_F = 100

/** What a temperature is said of. */
export type Role = 'oven' | 'core' | 'start'

/** Bare numbers of a line are °F where only that makes sense of one of them. */
export function scaleOf(meanings: readonly Meaning[]): (heat: SaidHeat, role: Role) => number {
  type Said = { heat: SaidHeat; role: Role; on?: SaidStage['on'] | undefined }
  const heats = meanings.flatMap(({ fact }): Said[] => {
    if (fact.kind === 'stage')
      return [
        ...(fact.stage.heat ? [{ heat: fact.stage.heat, role: 'oven' as const, on: fact.stage.on }] : []),
        ...(fact.stage.core ? [{ heat: fact.stage.core, role: 'core' as const }] : []),
      ]
    if (fact.kind === 'heat') return [{ heat: fact.heat, role: 'oven' as const, on: fact.on }]
    if (fact.kind === 'second' && fact.heat) return [{ heat: fact.heat, role: 'oven' as const }]
    if (fact.kind === 'serve' || fact.kind === 'pull') return [{ heat: fact.heat, role: 'core' as const }]
    if (fact.kind === 'start' && fact.heat) return [{ heat: fact.heat, role: 'start' as const }]
    return []
  })
  const said = (unit: 'c' | 'f') => heats.some(({ heat }) => heat.unit === unit)
  const only = heats.some(
    ({ heat, role, on }) =>
      heat.unit === undefined &&
      ((role === 'oven' && on !== 'fire' && heat.value > HOTTEST_C) || (role === 'core' && heat.value > CORE_MOST_C)),
  )
  const fahrenheit = said('f') || only
  const celsiusToo = said('c')
  const read = ({ value, unit }: SaidHeat, role: Role): number => {
    if (unit === 'c') return celsius(value)
    if (unit === 'f') return round(fahrenheitToCelsius(value))
    if (role === 'start') return value > 30 ? round(fahrenheitToCelsius(value)) : value
    const most = role === 'oven' ? HOTTEST_C : CORE_MOST_C
    const least = role === 'oven' ? OVEN_LEAST_F : CORE_LEAST_F
    const asF = value > most || (fahrenheit && !(celsiusToo && !only) && value >= least)
    return asF ? round(fahrenheitToCelsius(value)) : value
  }
  return (heat, role) => heldNumber(read(heat, role))
}
const round = (value: number) => Math.round(value * 10) / 10
