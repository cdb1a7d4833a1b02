import { DANGER_ZONE_C, STANDARDS } from '@/core/reference/standards'
import type { Caution } from '@/core/safety/cautions'
import { type Weight, weightOf } from '@/core/safety/weight'
import type { Trouble } from '@/core/schedule/plan'
import type { Hindrance } from '@/core/simulate/hindrance'
import { coolingRule } from './tasks'
import { clock, duration, rise, shortDay, temperature, type Units } from './units'

export interface CautionWords {
  readonly weight: Weight
  readonly text: string
}

/** A caution in words, with the numbers behind it. */
export const cautionWords = (caution: Caution, units: Units): CautionWords => ({
  weight: weightOf(caution),
  text: textOf(caution, units),
})

function textOf(caution: Caution, units: Units): string {
  switch (caution.code) {
    case 'below_consumer_minimum':
      return caution.choice
        ? `Peaks at ${temperature(caution.peak_c, units)}; consumer guidance says ${temperature(caution.minimum_c, units)} and a 3 minute rest. An intact piece served so is your choice, not one for the very young, the old, the pregnant or the ill.`
        : `Peaks at ${temperature(caution.peak_c, units)}, under the ${temperature(caution.minimum_c, units)} that consumer guidance asks everywhere. Raise the doneness.`
    case 'not_intact':
      return `Rolled or stuffed: its outside is inside now, so cook it to ${temperature(caution.minimum_c, units)} or hold it by the table. It peaks at ${temperature(caution.peak_c, units)}.`
    case 'hold_table_met':
      return `The food-code hold table for whole roasts is met ${duration(caution.at_s)} after it goes in, by the model. A probe reading is the proof.`
    case 'hold_table_not_met':
      return `The food-code hold table for whole roasts is met to ${Math.round(caution.share * 100)} %. A restaurant that must meet it holds longer or goes higher.`
    case 'slow_oven':
      return `${temperature(caution.set_c, units)} is a slow oven: below ${temperature(caution.limit_c, units)} consumer guidance wants the times and temperatures checked with a probe.`
    case 'long_danger_zone':
      return `The core is ${caution.hours.toFixed(1)} hours between ${temperature(DANGER_ZONE_C.low, units)} and ${temperature(DANGER_ZONE_C.high, units)}. Professional kitchens allow four. Use an intact piece, start it colder for less time out, or roast hotter.`
    case 'long_temper':
      return `${Math.round(caution.minutes)} minutes on the bench is over the cap of ${caution.limit_minutes}.`
    case 'heat_off':
      return `The oven is off for part of this; the core leaves it at ${temperature(caution.core_c, units)}. Check with a probe; if it is short, heat on again.`
    case 'raw_poultry':
      return 'Raw poultry juice on nothing that is eaten raw; wash hands and board.'
    case 'cooked_before':
      return `Only for a ham whose label says fully cooked: sealed where it was made, ${temperature(caution.sealed_c, units)} in the middle will do; opened, sliced or packed again it wants ${temperature(caution.opened_c, units)}. If the label says to cook it before eating it is raw: plan it as a cured ham, to ${temperature(caution.raw_c, units)} and a rest.`
    case 'hot_tin':
      return 'Tin, fat and glass stay hot: dry cloths, no cold water into hot glass.'
    case 'fire':
      return 'Live fire: outdoors, clear above, water at hand, never alone.'
    case 'chill_leftovers':
      return `${coolingRule(units)} Slice or cut small first. Your local code comes before this page.`
    case 'vulnerable_guest':
      return `Someone at this table should not eat it at ${temperature(caution.peak_c, units)}. Cook it to ${temperature(caution.minimum_c, units)}, or cook their share through.`
    case 'stuffing_short':
      return `The stuffing only gets to ${temperature(caution.peak_c, units)}: it must reach ${temperature(caution.minimum_c, units)} in its middle. Leave it in the oven longer, or spoon it into a dish and finish it there.`
    case 'stuffed_bird':
      return 'Stuff loosely, just before it goes in, with everything cold or everything hot. Probe the stuffing too.'
    case 'retail_oven':
      return `To rely on the hold table a food business needs at least ${temperature(caution.least_c, units)} for a roast of this weight; this oven is set to ${temperature(caution.set_c, units)}.`
    case 'frozen_start':
      return `It starts frozen inside (${temperature(caution.core_c, units)}). It takes about half as long again and the outside waits for the middle: probe two places, and better thaw it in the fridge first.`
    case 'poultry_decades_short':
      return `The kill of Salmonella at the coldest point is ${caution.decades.toFixed(1)} decades of the ${caution.wanted} that are asked. Go higher or hold longer.`
    case 'cabinet_too_cool':
      return `A cabinet at ${temperature(caution.set_c, units)} is under the ${temperature(caution.least_c, units)} at which hot food is held. Set it higher.`
    case 'cools_fast':
      return `${caution.minutes < 1 ? 'Lukewarm as it is carved' : `Lukewarm within ${duration(caution.minutes * 60)} of the knife`}: heat plates and board, carve half and leave the rest whole, pour the gravy hot. A hot finish or a shorter rest keeps it warm longer.`
    default:
      return caution satisfies never
  }
}

/** What should be out of its freezer by now, and whether cold water would still do. */
export function thawPassedWords(
  what: string,
  { at, takes_s }: { readonly at: number; readonly takes_s: number },
  water_s: number | undefined,
  units: Units,
): string {
  const water =
    water_s === undefined
      ? ''
      : ` Cold water does it in ${duration(water_s)}, changed every half hour; then it is cooked at once.`
  return `${what} should be out of the freezer since ${shortDay(at, units)} ${clock(at, units)}, for it thaws ${duration(takes_s)}. Frozen in the middle it is not safe by these times.${water}`
}

/** What is wrong with a plan, in words. */
export function troubleWords(trouble: Trouble, units: Units): string {
  switch (trouble.code) {
    case 'start_passed':
      return `This should have started ${duration(trouble.late_s)} ago. From now the earliest honest promise is ${clock(trouble.earliestPromise, units)} on ${shortDay(trouble.earliestPromise, units)}.`
    case 'in_otherwise':
      if (trouble.later_s < 0)
        return `It went in ${duration(-trouble.later_s)} earlier than this promise needs: it could be on the table at ${clock(trouble.earliestPromise, units)}, and as it is waits ${duration(trouble.waits_s)} when it is out${trouble.waits_s > trouble.keeps_s * 1.25 ? `. On a board it keeps well ${duration(trouble.keeps_s)}; after that hold it at ${temperature(STANDARDS.cabinet.value, units)}, or cool it within two hours and heat it through again` : ''}. Promise that; or begin the cook, and the board says whether to slow it or to let it wait.`
      return `It went in ${duration(trouble.later_s)} later than this promise needs: ${trouble.table > trouble.earliestPromise - trouble.later_s + 60 ? `as it cooks it is on the table at ${clock(trouble.table, units)}` : 'only a shorter rest would keep it'}, and ${clock(trouble.earliestPromise, units)} is kept nine times in ten. Promise that; or begin the cook, and the board says what would make the old promise.`
    case 'promise_passed':
      return `This promise was ${duration(trouble.late_s)} ago.`
    case 'thaw_passed':
      return thawPassedWords('It', trouble, trouble.water?.takes_s, units)
    case 'rest_too_long':
      return `The doubt is wide: a quick one could rest ${duration(trouble.longest_s)}, longer than the ${duration(trouble.most_s)} it keeps well. Have a warm place at ${temperature(STANDARDS.cabinet.value, units)} ready, or measure the thickness to narrow it.`
    case 'clock_misses_doneness':
      return `Cooked as these stages say this piece comes to ${temperature(trouble.peak_c, units)}, and it is to be served at ${temperature(trouble.wanted_c, units)}. Take it as it comes, or${trouble.right?.minutes === undefined ? ' take another weight or another school' : ` give the first heat ${duration(trouble.right.minutes * 60)}`}.`
    default:
      return hindranceWords(trouble, units)
  }
}

/** Why something cannot be, and what would help. */
export function hindranceWords(hindrance: Hindrance, units: Units): string {
  switch (hindrance.code) {
    case 'never_reached':
      return `It cannot be reached: it never gets to ${temperature(hindrance.wanted_c, units)}, for after a day and a half it is at ${temperature(hindrance.highest_c, units)}. Set the heat higher.`
    case 'water_boils':
      return `It cannot be reached: up here water boils at ${temperature(hindrance.boiling_c, units)}, and no core gets over that. Choose less than ${temperature(hindrance.boiling_c - 1, units)} and cook it longer.`
    case 'stage_never_ends':
      return `Stage ${hindrance.stage + 1} never ends: it is at ${temperature(hindrance.highest_c, units)} and what it waits for does not come. Set its heat higher, or end it by the clock.`
    case 'passed_before_pull':
      return `It cannot be stopped at ${temperature(hindrance.wanted_c, units)}: what comes before the reading takes it to ${temperature(hindrance.peak_c, units)} by itself. Shorten the hot part or turn it down.`
    case 'rise_too_great':
      return `It cannot be stopped by a reading: it would climb ${rise(hindrance.rise_k, units)} after the pull, and over ${rise(hindrance.most_k, units)} nobody can rely on it. Thaw it first, or turn the heat down.`
    default:
      return hindrance satisfies never
  }
}
