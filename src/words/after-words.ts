import type { Gravy } from '@/core/portions/gravy'
import type { Leftovers } from '@/core/portions/leftovers'
import { COOLING, STANDARDS } from '@/core/reference/standards'
import type { CoolingAdvice } from '@/core/simulate/afterwards'
import { clock, duration, length, mass, shortDay, temperature, type Units } from './units'

/** What stands around a roast: the shop, the gravy, what is left and what becomes of it. */

const litres = (value_l: number) => `${value_l < 1 ? value_l.toFixed(1) : Number(value_l.toFixed(1))} l`
const toFive = (grams: number) => `${Math.round(grams / 5) * 5} g`

/** Gravy for so many, in a line. */
export const gravyWords = (gravy: Gravy, guests: number): string =>
  `Gravy for ${guests}: ${litres(gravy.stock_l)} stock, ${toFive(gravy.flour_g)} flour, ${toFive(gravy.fat_g)} of the dripping’s fat.`
export const SALTY_GRAVY = 'It is wet-brined, so its juice is salty: unsalted stock, taste before salting.'

/** How leftovers are cooled and by when, and how long they keep. */
export function coolingWords(cooling: CoolingAdvice, served_s: number, units: Units, fridge_c?: number): string {
  const read =
    fridge_c === undefined
      ? ''
      : fridge_c > COOLING.to_c - 0.5
        ? ` Your fridge was last read at ${temperature(fridge_c, units)}, which cannot bring it to ${temperature(COOLING.to_c, units)} in time: set it colder.`
        : ` That is in your fridge, at ${temperature(fridge_c, units)} as it was last read.`
  const how = cooling.whole.inTime
    ? 'Left whole it cools in time in the fridge'
    : cooling.slab_m !== undefined
      ? `Whole it cools too slowly: sliced, or in pieces no thicker than ${length(cooling.slab_m, units)}, side by side on a cold tray`
      : 'Sliced thin and spread on a cold tray'
  return `${how}.${read} ${keepingWords(served_s, units)}`
}

/** By when leftovers are in the fridge and cold, and how long they keep. */
export function keepingWords(served_s: number, units: Units): string {
  const by_s = served_s + COOLING.first_s
  const keep_s = served_s + STANDARDS.leftoversKeep.value
  return `In the fridge by ${clock(by_s, units)}, at ${temperature(COOLING.to_c, units)} within ${duration(COOLING.whole_s)} of leaving ${temperature(COOLING.from_c, units)}. Eaten by ${shortDay(keep_s, units)}, reheated to ${temperature(STANDARDS.reheatTo.value, units)}; your local code decides.`
}

/** What is left over, and the stock and soup that it makes the day after. */
export function leftoverWords(left: Leftovers, units: Units): readonly string[] {
  return [
    left.plates > 0
      ? `About ${mass(left.meat_kg, units)} of sliced meat is left: ${left.plates} cold ${left.plates === 1 ? 'plate' : 'plates'}.`
      : 'Little is left of the meat at the usual helping.',
    ...(left.bones_kg > 0.1
      ? [
          `Stock the day after: ${mass(left.bones_kg, units)} of bones with ${litres(left.water_l)} of cold water, three hours barely moving, gives about ${litres(left.stock_l)}${left.soup_heads > 0 ? `; with the meat in it ${left.soup_heads === 1 ? 'one bowl' : `${left.soup_heads} bowls`} of soup` : ''}.`,
        ]
      : []),
  ]
}
