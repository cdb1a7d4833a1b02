import { findSchool } from '@/core/program/schools'
import type { DonenessScaleId } from '@/core/reference/doneness'
import type { HouseItemDocument, HouseStandard } from '@/domain/house/house-item'
import type { WayId } from '@/domain/house/ways'
import type { StandardsPart } from '@/domain/roast/roast-document'
import { mass, temperature, type Units } from './units'
import { wayWords } from './ways'
import { donenessName } from './words'

/** House standards in words. */

export const MEATS: Readonly<Record<DonenessScaleId, string>> = {
  red: 'Beef, veal, lamb and venison',
  pork: 'Pork',
  ham: 'Cooked ham',
  poultry: 'Chicken, turkey and small birds',
  duck: 'Duck and goose',
  tender: 'Cooked until tender',
}
const meat = (scale: string | undefined) => MEATS[scale as DonenessScaleId]?.toLowerCase() ?? scale ?? ''

/** What a standard is about. */
export function standardName(name: string): string {
  const [what, scale, degree] = name.split('.')
  switch (what) {
    case 'serve':
      return `${donenessName(degree ?? '')}, ${meat(scale)}`
    case 'usual':
      return `where nobody says, ${meat(scale)}`
    case 'rest':
      return `least rest, ${meat(scale)}`
    case 'school':
      return `how ${meat(scale)} is cooked`
    case 'portion':
      return 'portions'
    case 'margin':
      return 'margin before the plate'
    case 'buy':
      return 'weights to buy'
    default:
      return name
  }
}

/** What a standard says. */
export function standardValue({ name, value, option, set_c }: HouseStandard, units: Units): string {
  const what = name.split('.')[0]
  if (what === 'school')
    return `${findSchool(option ?? '')?.name.toLowerCase() ?? option}${set_c === undefined ? '' : ` at ${temperature(set_c, units)}`}`
  if (what === 'usual') return donenessName(option ?? '')
  if (value === null) return ''
  if (what === 'serve') return temperature(value, units, Number.isInteger(value) ? 0 : 1)
  if (what === 'portion') return `${Math.round(100 * value)} % of the usual`
  if (what === 'buy') return `up to the next ${mass(value, units)}`
  return `${value} min`
}

/** The same in a few words, beside its meat. */
export function standardShort(standard: HouseStandard, units: Units): string {
  const [what, , degree] = standard.name.split('.')
  const says = standardValue(standard, units)
  if (what === 'serve') return `${donenessName(degree ?? '')} ${says}`
  if (what === 'rest') return `rests ${says} at least`
  return what === 'usual' ? `${says} where nobody says` : says
}

/** What a house item is, and what it says, for the list of changes. */
export function houseItemWords(document: HouseItemDocument, units: Units): { what: string; says: string } {
  if (document.kind === 'standard') {
    const says = standardValue(document, units)
    return { what: standardName(document.name), says: document.reason ? `${says}, because ${document.reason}` : says }
  }
  if (document.kind === 'way') {
    const way = wayWords(units)[document.name as WayId]
    return { what: way.about.toLowerCase(), says: way.options[document.option]?.name ?? document.option }
  }
  return document.kind === 'cut'
    ? { what: `cut “${document.name}”`, says: 'its own values' }
    : { what: `program “${document.name}”`, says: `${document.stages.length} stages` }
}

/** What of its kitchen's standards a plan began with; undefined where there were none. */
export function standardsSentence(held: StandardsPart | undefined, units: Units): string | undefined {
  if (!held) return undefined
  const parts = [
    ...Object.entries(held.serves ?? {}).map(
      ([name, value]) =>
        `${donenessName(name.split('.')[1] ?? '')} at ${temperature(value, units, Number.isInteger(value) ? 0 : 1)}`,
    ),
    ...(held.usual ? [`${donenessName(held.usual)} where nobody says`] : []),
    ...(held.rest_least_min === undefined ? [] : [`${held.rest_least_min} min of rest at least`]),
    ...(held.portion === undefined ? [] : [`portions ${Math.round(100 * held.portion)} % of the usual`]),
    ...(held.buy_step_kg === undefined ? [] : [`bought by the ${mass(held.buy_step_kg, units)}`]),
    ...(held.school ? [`cooked so because ${held.school}`] : []),
  ]
  return parts.length === 0 ? undefined : `As the house does it: ${parts.join('; ')}.`
}
