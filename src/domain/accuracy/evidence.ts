import type { Cover } from '@/core/heat/environment'
import { DOMESTIC_OVEN } from '@/core/heat/oven'
import type { HeatParameters } from '@/core/heat/parameters'
import { bodiesOf } from '@/core/heat/piece'
import { yieldOf } from '@/core/portions/portions'
import { steadyProgram } from '@/core/program/schools'
import { CHART_ROWS, type ChartRow } from '@/core/reference/charts'
import { type Cut, findCut, isPoultry } from '@/core/reference/cuts'
import { type CookRun, cook } from '@/core/simulate/cook'
import { shownBy } from '@/core/simulate/shown'
import { type CookSetup, RESOLUTION, type Resolution } from '@/core/simulate/stepper'
import { fahrenheitToCelsius, poundsToKilograms } from '@/core/units'

/** What kind of fact it is; a group is left out as a whole to see what the others say of it. */
export type EvidenceGroup =
  | 'meat charts'
  | 'bird charts'
  | 'low ovens'
  | 'covers'
  | 'rises'
  | 'weights'
  | 'birds inside'

/** One fact of the outside that the shared parameters have to meet, each in the unit it is judged in. */
export interface Evidence {
  readonly name: string
  readonly group: EvidenceGroup
  /** min (judged by its logarithm), K, or % of the raw weight. */
  readonly unit: 'min' | 'K' | '%'
  readonly value: number
  /** One standard deviation: of ln(min), K or %. */
  readonly doubt: number
  readonly source: string
  /** Why it may be far off. */
  readonly note?: string
  readonly predict: (parameters: HeatParameters, resolution: Resolution) => number
}

/** An oven as charts think of it: at its setting, and steady. */
export const STEADY_OVEN = { ...DOMESTIC_OVEN, swing_k: 0 }
const TRADE = 'common practice'
const CHART = 'US federal food-safety agencies’ charts, from memory'

/** What charts start from, °C: a fridge a degree warmer than the usual plan's. */
export const CHART_START_C = 5

/** @throws RangeError for a cut that is not in the catalogue: our own bug. */
export const mustFind = (id: string): Cut => {
  const cut = findCut(id)
  if (!cut) throw new RangeError(`no cut ${id}`)
  return cut
}

/** A plain roast from the fridge, as evidence asks for it. */
interface Asked {
  readonly cut: string
  readonly kg: number
  readonly set_c: number
  readonly core_c: number
  readonly cover?: Cover | undefined
  readonly stuffed?: boolean
}
const asked = (cut: string, kg: number, set_c: number, core_c: number, cover?: Cover): Asked => ({
  cut,
  kg,
  set_c,
  core_c,
  cover,
})

/** It at one setting, to its core, rested so long. */
function setupOf(
  { cut, kg, set_c, core_c, cover, stuffed }: Asked,
  rest_min: number,
  parameters: HeatParameters,
  resolution: Resolution,
): CookSetup {
  const bodies = bodiesOf({ cut: mustFind(cut), mass_kg: kg, stuffed: stuffed === true }, parameters)
  return {
    bodies,
    program: steadyProgram(set_c, rest_min, cover ? { cover } : {}),
    oven: STEADY_OVEN,
    start_c: CHART_START_C,
    parameters,
    pull_c: bodies.map(() => core_c),
    resolution,
  }
}

const minutes = (
  name: string,
  group: EvidenceGroup,
  value: number,
  doubt: number,
  what: Asked,
  source = TRADE,
  note?: string,
): Evidence => ({
  name,
  group,
  unit: 'min',
  value,
  doubt,
  source,
  ...(note ? { note } : {}),
  predict: (parameters, resolution) => cook(setupOf(what, 0, parameters, resolution)).pull_s / 60,
})

/** What a usual probe shows at its highest in the rest over what it showed at the pull, K. */
export function risesBy(setup: CookSetup): number {
  const shown = shownBy(setup)
  return shown ? shown.peak_c - shown.pull_c : Number.NaN
}

/** The rise a usual probe shows from the pull to its highest, K. */
const rise = (name: string, value: number, doubt: number, what: Asked): Evidence => ({
  name,
  group: 'rises',
  unit: 'K',
  value,
  doubt,
  source: TRADE,
  predict: (parameters, resolution) => risesBy(setupOf(what, 45, parameters, resolution)),
})

const loss = (name: string, value: number, doubt: number, what: Asked): Evidence => ({
  name,
  group: 'weights',
  unit: '%',
  value,
  doubt,
  source: TRADE,
  predict: (parameters, resolution) =>
    100 * yieldOf(mustFind(what.cut), what.kg, cook(setupOf(what, 20, parameters, resolution))).lost,
})

/** No bird is cooked so far: it is looked at before, °C. */
const BEYOND_C = 95

/** Thigh less breast when the breast has come to a reading, K. */
const thighAhead = (name: string, value: number, doubt: number, what: Asked, downFor_s = 0): Evidence => ({
  name,
  group: 'birds inside',
  unit: 'K',
  value,
  doubt,
  source: TRADE,
  predict: (parameters, resolution) => {
    let ahead = Number.NaN
    cook(
      {
        ...setupOf({ ...what, core_c: BEYOND_C }, 0, parameters, resolution),
        program: steadyProgram(what.set_c, 0, downFor_s > 0 ? { position: 'breast_down' } : {}),
        changes: downFor_s > 0 ? [{ time_s: downFor_s, position: 'breast_up' }] : [],
      },
      {
        bare: true,
        stepped: ({ kernels: [breast, thigh] }) => {
          if (!breast || !thigh || breast.core_c < what.core_c) return false
          ahead = thigh.core_c - breast.core_c
          return true
        },
      },
    )
    return ahead
  },
})

/** Rows that say more of their time than of meat: their doubt is wide, and why stands beside them. */
const OLDER: Readonly<Record<string, string>> = {
  'fresh-ham': 'the row’s minutes fit the older target of 71 °C',
  'fresh-ham-half': 'the row’s minutes fit the older target of 71 °C',
  duck: 'ducks were cooked to 85 °C when the row was made',
  'pork-shoulder': 'the row is for a shoulder cooked well past its 71 °C',
  'beef-eye-of-round': 'quicker than any other row of its thickness; the row fits a core of 52 °C',
}
const CHART_DOUBT = 0.09
const OLDER_DOUBT = 0.35

/** A chart's row for the middle of its weights: what is asked of it, its interval, min. */
export function ofRow(row: ChartRow): { readonly what: Asked; readonly low_min: number; readonly high_min: number } {
  const lb = (row.weight_lb[0] + row.weight_lb[1]) / 2
  const scale = row.basis === 'per_lb' ? lb : 1
  return {
    what: {
      ...asked(row.cut, poundsToKilograms(lb), fahrenheitToCelsius(row.oven_f), fahrenheitToCelsius(row.core_f)),
      stuffed: row.stuffed === true,
    },
    low_min: row.minutes[0] * scale,
    high_min: row.minutes[1] * scale,
  }
}

/** How the model cooks a chart's row. */
export const cookedRow = (row: ChartRow, parameters: HeatParameters): CookRun =>
  cook(setupOf(ofRow(row).what, 0, parameters, RESOLUTION.answer))

const charts = (): Evidence[] =>
  CHART_ROWS.filter(({ since }) => !since).map((row) => {
    const cut = mustFind(row.cut)
    const note = OLDER[row.cut]
    const birds = isPoultry(cut)
    const { what, low_min, high_min } = ofRow(row)
    return minutes(
      `${cut.name}${row.stuffed ? ', stuffed' : ''}, ${what.kg.toFixed(1)} kg at ${row.oven_f} °F`,
      birds ? 'bird charts' : 'meat charts',
      (low_min + high_min) / 2,
      note ? OLDER_DOUBT : CHART_DOUBT,
      what,
      CHART,
      note,
    )
  })

/**
 * A value of a fact, in units of its doubt.
 * @example scaledBy({ unit: 'K', doubt: 2 }, 6) // 3
 */
export const scaledBy = ({ unit, doubt }: Pick<Evidence, 'unit' | 'doubt'>, value: number): number =>
  (unit === 'min' ? Math.log(value) : value) / doubt

/** By how many of its doubts a fact is missed. */
export const missOf = (fact: Evidence, found: number): number => scaledBy(fact, found) - scaledBy(fact, fact.value)

/** Everything the shared parameters are laid on. Values without a published source are common practice, from memory. */
export const EVIDENCE: readonly Evidence[] = [
  ...charts(),
  minutes('Rib 3 kg at 107 °C to 52 °C', 'low ovens', 225, 0.15, asked('beef-rib-bone-in', 3, 107, 52)),
  minutes('Rib 2.7 kg at 93 °C to 52 °C', 'low ovens', 285, 0.15, asked('beef-rib-bone-in', 2.7, 93, 52)),
  minutes('Whole tenderloin 2 kg at 107 °C to 52 °C', 'low ovens', 100, 0.18, asked('beef-tenderloin', 2, 107, 52)),
  minutes('Pork shoulder 3.5 kg at 110 °C to 93 °C, bare', 'low ovens', 780, 0.2, asked('pork-shoulder', 3.5, 110, 93)),
  minutes('Pork shoulder 2.8 kg at 135 °C to 93 °C, bare', 'low ovens', 390, 0.2, asked('pork-shoulder', 2.8, 135, 93)),
  minutes('Rib 2.7 kg at 230 °C to 50 °C', 'low ovens', 82, 0.12, asked('beef-rib-bone-in', 2.7, 230, 50)),
  minutes(
    'Pork shoulder 2.8 kg at 120 °C to 93 °C, sealed in foil',
    'covers',
    360,
    0.2,
    asked('pork-shoulder', 2.8, 120, 93, 'foil'),
  ),
  minutes(
    'Lamb shoulder 2.2 kg at 160 °C to 90 °C, sealed in foil',
    'covers',
    185,
    0.18,
    asked('lamb-shoulder', 2.2, 160, 90, 'foil'),
  ),
  minutes('Turkey 6.4 kg at 177 °C to 74 °C, in a bag', 'covers', 150, 0.15, asked('turkey', 6.4, 177, 74, 'bag')),
  rise('Rib 2.7 kg out of 120 °C', 3, 1.2, asked('beef-rib-bone-in', 2.7, 120, 52)),
  rise('Rib 2.7 kg out of 163 °C', 6, 1.2, asked('beef-rib-bone-in', 2.7, 163, 50)),
  rise('Rib 2.7 kg out of 230 °C', 10, 2, asked('beef-rib-bone-in', 2.7, 230, 47)),
  rise('Pork shoulder 1.4 kg out of 177 °C', 7, 1.2, asked('pork-shoulder', 1.4, 177, 63)),
  rise('Pork loin 1.8 kg out of 177 °C', 5, 1.2, asked('pork-loin', 1.8, 177, 58)),
  rise('Lamb leg 2.5 kg out of 163 °C', 6, 1.2, asked('lamb-leg-bone-in', 2.5, 163, 52)),
  rise('Tenderloin 2 kg out of 218 °C', 6, 1.5, asked('beef-tenderloin', 2, 218, 48)),
  loss('Rib 2.7 kg at 110 °C to 55 °C', 11, 3, asked('beef-rib-bone-in', 2.7, 110, 55)),
  loss('Rib 2.7 kg at 163 °C to 55 °C', 15, 3, asked('beef-rib-bone-in', 2.7, 163, 55)),
  loss('Rib 2.7 kg at 230 °C to 55 °C', 20, 3.5, asked('beef-rib-bone-in', 2.7, 230, 55)),
  loss('Pork loin 1.8 kg at 177 °C to 63 °C', 18, 3, asked('pork-loin', 1.8, 177, 63)),
  loss('Turkey 6 kg at 163 °C to 74 °C', 23, 4, asked('turkey', 6, 163, 74)),
  loss('Pork shoulder 2.8 kg at 120 °C to 93 °C', 36, 5, asked('pork-shoulder', 2.8, 120, 93)),
  thighAhead('Turkey 6 kg at 163 °C, breast up, when the breast is at 74 °C', 3, 2.5, asked('turkey', 6, 163, 74)),
  thighAhead('Chicken 1.7 kg at 190 °C, breast up, when the breast is at 72 °C', 3, 3, asked('chicken', 1.7, 190, 72)),
  thighAhead(
    'Turkey 6 kg at 163 °C, two hours breast down, when the breast is at 74 °C',
    10,
    2.5,
    asked('turkey', 6, 163, 74),
    7200,
  ),
]
