import { celsius, fahrenheitToCelsius } from '@/core/units'
import { tenth } from '../quantity/round'
import { heldNumber } from '../schema/scalars'
import type { Fact, Meaning, SaidHeat, SaidStage } from './fact'

/** What the bare numbers of a line are: °C or °F. */

/** The hottest a dial goes in °C, and the warmest a core is wanted: a bare number above is °F. */
const HOTTEST_C = 300
const CORE_MOST_C = 105
/** The coolest an oven is set in °F, and the coolest core, that anybody means so. */
const OVEN_LEAST_F = 150
const CORE_LEAST_F = 100

/** An oven that nobody in °C leaves as it is for a whole roast, and a stretch of it that lasts too long. */
const FIERCE_C = 225
const LONG_MIN = 120
/** How °F are set. */
const STEP_F = 25
/** Cuts that no smoker and no oven of 225 °C is meant for, where that is all that is said. */
const LOW_AND_SLOW: ReadonlySet<string> = new Set(['beef-brisket', 'beef-short-ribs'])
/** Weights and sizes of those who set °F, or may. */
const IMPERIAL = /(?<!\p{L})(?:lbs?|pounds?|pounders?|oz|ounces?|inch(?:es)?)(?!\p{L})|#/iu

/**
 * Whether a line has weights or sizes of those who set °F, or may.
 * @example isImperial('rib 3 lb') // true
 */
export const isImperial = (line: string): boolean => IMPERIAL.test(line)

/** What else tells in which scale a cook thinks. */
export interface ScaleHints {
  /** The line itself: pounds and inches. */
  readonly line?: string
  /** What the kitchen reads. */
  readonly reads?: 'c' | 'f' | undefined
}

/** What a temperature is said of. */
export type Role = 'oven' | 'core' | 'start'

/** A temperature of a fact: of what, on which heat and for how long. */
interface Said {
  readonly heat: SaidHeat
  readonly role: Role
  readonly on?: SaidStage['on'] | undefined
  readonly minutes?: number | undefined
  readonly smoked?: boolean | undefined
}

/** A fact with each temperature that is said in it told anew. */
function withHeats(fact: Fact, tell: (said: Said) => SaidHeat): Fact {
  switch (fact.kind) {
    case 'stage': {
      const { heat, core, on, minutes } = fact.stage
      const told = {
        ...(heat ? { heat: tell({ heat, role: 'oven', on, minutes }) } : {}),
        ...(core ? { core: tell({ heat: core, role: 'core' }) } : {}),
      }
      return { ...fact, stage: { ...fact.stage, ...told } }
    }
    case 'heat':
      return { ...fact, heat: tell({ heat: fact.heat, role: 'oven', on: fact.on, smoked: fact.smoked }) }
    case 'second':
      return fact.heat ? { ...fact, heat: tell({ heat: fact.heat, role: 'oven' }) } : fact
    case 'serve':
    case 'hold':
    case 'pull':
      return { ...fact, heat: tell({ heat: fact.heat, role: 'core' }) }
    case 'start':
      return fact.heat ? { ...fact, heat: tell({ heat: fact.heat, role: 'start' }) } : fact
    case 'tending':
      return fact.moments
        ? {
            ...fact,
            moments: fact.moments.map((moment) =>
              'core' in moment ? { core: tell({ heat: moment.core, role: 'core' }) } : moment,
            ),
          }
        : fact
    default:
      return fact
  }
}

/**
 * Bare numbers of a line are °F where only that makes sense of one of them, and where the kitchen reads °F. Six pounds
 * of shoulder nine hours at 250 are °F too, and so is a smoker at 225: there no oven of 250 °C is meant.
 */
export function scaleOf(
  meanings: readonly Meaning[],
  { line = '', reads }: ScaleHints = {},
): (heat: SaidHeat, role: Role) => number {
  const heats: Said[] = []
  for (const { fact } of meanings)
    withHeats(fact, (said) => {
      heats.push(said)
      return said.heat
    })
  const said = (unit: 'c' | 'f') => heats.some(({ heat }) => heat.unit === unit)
  const only = heats.some(
    ({ heat, role, on }) =>
      heat.unit === undefined &&
      ((role === 'oven' && on !== 'fire' && heat.value > HOTTEST_C) || (role === 'core' && heat.value > CORE_MOST_C)),
  )
  const celsiusToo = said('c')
  const ovens = heats.filter(({ role, on }) => role === 'oven' && on !== 'pan')
  const isFierce = ({ heat }: Said) => heat.unit === undefined && heat.value >= FIERCE_C
  const cool = heats.some(({ heat, role }) => role === 'core' && heat.unit === undefined && heat.value < CORE_LEAST_F)
  const isSetInF = (said: Said) => isFierce(said) && said.heat.value % STEP_F === 0
  const isTough = meanings.some(({ fact }) => fact.kind === 'cut' && LOW_AND_SLOW.has(fact.ids[0] ?? ''))
  const gently =
    !celsiusToo &&
    !cool &&
    (ovens.some((said) => said.on !== 'fire' && isFierce(said) && (said.minutes ?? 0) >= LONG_MIN) ||
      ovens.some((said) => said.smoked && isSetInF(said)) ||
      (isTough && ovens.length === 1 && ovens.every(isSetInF)) ||
      (isImperial(line) && ovens.length > 0 && ovens.every(isSetInF)))
  const kitchens = reads === 'f' && !celsiusToo && !cool
  const fahrenheit = said('f') || only || gently || kitchens
  const read = ({ value, unit }: SaidHeat, role: Role): number => {
    if (unit === 'c') return celsius(value)
    if (unit === 'f') return tenth(fahrenheitToCelsius(value))
    if (role === 'start') return value > 30 ? tenth(fahrenheitToCelsius(value)) : value
    const most = role === 'oven' ? HOTTEST_C : CORE_MOST_C
    const least = role === 'oven' ? OVEN_LEAST_F : CORE_LEAST_F
    const asF = value > most || (fahrenheit && !(celsiusToo && !only) && value >= least)
    return asF ? tenth(fahrenheitToCelsius(value)) : value
  }
  return (heat, role) => heldNumber(read(heat, role))
}

/** Meanings whose bare degrees say in which scale they were taken: what is shown is what is planned by. */
export const withScale = (meanings: readonly Meaning[], read: ReturnType<typeof scaleOf>): Meaning[] =>
  meanings.map((meaning) => ({
    ...meaning,
    fact: withHeats(meaning.fact, ({ heat, role }) =>
      heat.unit === undefined ? { ...heat, unit: read(heat, role) === heldNumber(heat.value) ? 'c' : 'f' } : heat,
    ),
  }))
