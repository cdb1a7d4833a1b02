import type { Cover } from '@/core/heat/environment'
import { DOMESTIC_OVEN } from '@/core/heat/oven'
import type { HeatParameters } from '@/core/heat/parameters'
import { bodiesOf } from '@/core/heat/piece'
import { yieldOf } from '@/core/portions/portions'
import { steadyProgram } from '@/core/program/schools'
import type { Program } from '@/core/program/stage'
import { CHART_ROWS } from '@/core/reference/charts'
import { type Cut, findCut } from '@/core/reference/cuts'
import { type CookRun, cook } from '@/core/simulate/cook'
import { shownBy } from '@/core/simulate/shown'
import type { CookSetup, Resolution } from '@/core/simulate/stepper'
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

const OVEN = { ...DOMESTIC_OVEN, swing_k: 0 }
const FRIDGE_C = 5
const TRADE = 'common practice'
const CHART = 'US federal food-safety agencies’ charts, from memory'

const mustFind = (id: string): Cut => {
  const cut = findCut(id)
  if (!cut) throw new RangeError(`no cut ${id}`)
  return cut
}

interface Asked {
  readonly cut: string
  readonly kg: number
  readonly set_c: number
  readonly core_c: number
  readonly cover?: Cover
  readonly rest_min?: number
  readonly stuffed?: boolean
  readonly program?: Program
}

const bodiesFor = ({ cut, kg, stuffed }: Asked, parameters: HeatParameters) =>
  bodiesOf({ cut: mustFind(cut), mass_kg: kg, stuffed: stuffed === true }, parameters)

const programFor = ({ set_c, rest_min = 0, cover, program }: Asked): Program =>
  program ?? steadyProgram(set_c, rest_min, cover ? { cover } : {})

function cooked(asked: Asked, parameters: HeatParameters, resolution: Resolution): CookRun {
  const bodies = bodiesFor(asked, parameters)
  return cook({
    bodies,
    program: programFor(asked),
    oven: OVEN,
    start_c: FRIDGE_C,
    parameters,
    pull_c: bodies.map(() => asked.core_c),
    resolution,
  })
}

const minutes = (
  name: string,
  group: EvidenceGroup,
  value: number,
  doubt: number,
  asked: Asked,
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
  predict: (parameters, resolution) => cooked(asked, parameters, resolution).pull_s / 60,
})

/** What a usual probe shows at its highest in the rest over what it showed at the pull, K. */
export function risesBy(setup: CookSetup): number {
  const shown = shownBy(setup)
  return shown ? shown.peak_c - shown.pull_c : Number.NaN
}

/** The rise a usual probe shows from the pull to its highest, K. */
const rise = (name: string, value: number, doubt: number, asked: Asked): Evidence => ({
  name,
  group: 'rises',
  unit: 'K',
  value,
  doubt,
  source: TRADE,
  predict: (parameters, resolution) => {
    const bodies = bodiesFor(asked, parameters)
    return risesBy({
      bodies,
      program: programFor({ rest_min: 45, ...asked }),
      oven: OVEN,
      start_c: FRIDGE_C,
      parameters,
      pull_c: bodies.map(() => asked.core_c),
      resolution,
    })
  },
})

const loss = (name: string, value: number, doubt: number, asked: Asked): Evidence => ({
  name,
  group: 'weights',
  unit: '%',
  value,
  doubt,
  source: TRADE,
  predict: (parameters, resolution) =>
    100 * yieldOf(mustFind(asked.cut), asked.kg, cooked({ rest_min: 20, ...asked }, parameters, resolution)).lost,
})

/** Thigh less breast when the breast has come to a reading, K. */
const thighAhead = (name: string, value: number, doubt: number, asked: Asked, downFor_s = 0): Evidence => ({
  name,
  group: 'birds inside',
  unit: 'K',
  value,
  doubt,
  source: TRADE,
  predict: (parameters, resolution) => {
    const bodies = bodiesFor(asked, parameters)
    let ahead = Number.NaN
    cook(
      {
        bodies,
        program: steadyProgram(asked.set_c, 0, downFor_s > 0 ? { position: 'breast_down' } : {}),
        oven: OVEN,
        start_c: FRIDGE_C,
        parameters,
        pull_c: bodies.map(() => 95),
        resolution,
        changes: downFor_s > 0 ? [{ time_s: downFor_s, position: 'breast_up' }] : [],
      },
      {
        bare: true,
        stepped: ({ kernels: [breast, thigh] }) => {
          if (!breast || !thigh || breast.core_c < asked.core_c) return false
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

const charts = (): Evidence[] =>
  CHART_ROWS.map((row) => {
    const cut = mustFind(row.cut)
    const lb = (row.weight_lb[0] + row.weight_lb[1]) / 2
    const scale = row.basis === 'per_lb' ? lb : 1
    const note = OLDER[row.cut]
    const birds = cut.bone === 'bird' || cut.geometry.family === 'crown'
    return minutes(
      `${cut.name}${row.stuffed ? ', stuffed' : ''}, ${poundsToKilograms(lb).toFixed(1)} kg at ${row.oven_f} °F`,
      birds ? 'bird charts' : 'meat charts',
      ((row.minutes[0] + row.minutes[1]) / 2) * scale,
      note ? OLDER_DOUBT : CHART_DOUBT,
      {
        cut: row.cut,
        kg: poundsToKilograms(lb),
        set_c: fahrenheitToCelsius(row.oven_f),
        core_c: fahrenheitToCelsius(row.core_f),
        stuffed: row.stuffed === true,
      },
      CHART,
      note,
    )
  })

/** Everything the shared parameters are laid on. Values without a published source are common practice, from memory. */
export const EVIDENCE: readonly Evidence[] = [
  ...charts(),
  minutes('Rib 3 kg at 107 °C to 52 °C', 'low ovens', 225, 0.15, {
    cut: 'beef-rib-bone-in',
    kg: 3,
    set_c: 107,
    core_c: 52,
  }),
  minutes('Rib 2.7 kg at 93 °C to 52 °C', 'low ovens', 285, 0.15, {
    cut: 'beef-rib-bone-in',
    kg: 2.7,
    set_c: 93,
    core_c: 52,
  }),
  minutes('Whole tenderloin 2 kg at 107 °C to 52 °C', 'low ovens', 100, 0.18, {
    cut: 'beef-tenderloin',
    kg: 2,
    set_c: 107,
    core_c: 52,
  }),
  minutes('Pork shoulder 3.5 kg at 110 °C to 93 °C, bare', 'low ovens', 780, 0.2, {
    cut: 'pork-shoulder',
    kg: 3.5,
    set_c: 110,
    core_c: 93,
  }),
  minutes('Pork shoulder 2.8 kg at 135 °C to 93 °C, bare', 'low ovens', 390, 0.2, {
    cut: 'pork-shoulder',
    kg: 2.8,
    set_c: 135,
    core_c: 93,
  }),
  minutes('Rib 2.7 kg at 230 °C to 50 °C', 'low ovens', 82, 0.12, {
    cut: 'beef-rib-bone-in',
    kg: 2.7,
    set_c: 230,
    core_c: 50,
  }),
  minutes('Pork shoulder 2.8 kg at 120 °C to 93 °C, sealed in foil', 'covers', 360, 0.2, {
    cut: 'pork-shoulder',
    kg: 2.8,
    set_c: 120,
    core_c: 93,
    cover: 'foil',
  }),
  minutes('Lamb shoulder 2.2 kg at 160 °C to 90 °C, sealed in foil', 'covers', 185, 0.18, {
    cut: 'lamb-shoulder',
    kg: 2.2,
    set_c: 160,
    core_c: 90,
    cover: 'foil',
  }),
  minutes('Turkey 6.4 kg at 177 °C to 74 °C, in a bag', 'covers', 150, 0.15, {
    cut: 'turkey',
    kg: 6.4,
    set_c: 177,
    core_c: 74,
    cover: 'bag',
  }),
  rise('Rib 2.7 kg out of 120 °C', 3, 1.2, { cut: 'beef-rib-bone-in', kg: 2.7, set_c: 120, core_c: 52 }),
  rise('Rib 2.7 kg out of 163 °C', 6, 1.2, { cut: 'beef-rib-bone-in', kg: 2.7, set_c: 163, core_c: 50 }),
  rise('Rib 2.7 kg out of 230 °C', 10, 2, { cut: 'beef-rib-bone-in', kg: 2.7, set_c: 230, core_c: 47 }),
  rise('Pork shoulder 1.4 kg out of 177 °C', 7, 1.2, { cut: 'pork-shoulder', kg: 1.4, set_c: 177, core_c: 63 }),
  rise('Pork loin 1.8 kg out of 177 °C', 5, 1.2, { cut: 'pork-loin', kg: 1.8, set_c: 177, core_c: 58 }),
  rise('Lamb leg 2.5 kg out of 163 °C', 6, 1.2, { cut: 'lamb-leg-bone-in', kg: 2.5, set_c: 163, core_c: 52 }),
  rise('Tenderloin 2 kg out of 218 °C', 6, 1.5, { cut: 'beef-tenderloin', kg: 2, set_c: 218, core_c: 48 }),
  loss('Rib 2.7 kg at 110 °C to 55 °C', 11, 3, { cut: 'beef-rib-bone-in', kg: 2.7, set_c: 110, core_c: 55 }),
  loss('Rib 2.7 kg at 163 °C to 55 °C', 15, 3, { cut: 'beef-rib-bone-in', kg: 2.7, set_c: 163, core_c: 55 }),
  loss('Rib 2.7 kg at 230 °C to 55 °C', 20, 3.5, { cut: 'beef-rib-bone-in', kg: 2.7, set_c: 230, core_c: 55 }),
  loss('Pork loin 1.8 kg at 177 °C to 63 °C', 18, 3, { cut: 'pork-loin', kg: 1.8, set_c: 177, core_c: 63 }),
  loss('Turkey 6 kg at 163 °C to 74 °C', 23, 4, { cut: 'turkey', kg: 6, set_c: 163, core_c: 74 }),
  loss('Pork shoulder 2.8 kg at 120 °C to 93 °C', 36, 5, { cut: 'pork-shoulder', kg: 2.8, set_c: 120, core_c: 93 }),
  thighAhead('Turkey 6 kg at 163 °C, breast up, when the breast is at 74 °C', 3, 2.5, {
    cut: 'turkey',
    kg: 6,
    set_c: 163,
    core_c: 74,
  }),
  thighAhead('Chicken 1.7 kg at 190 °C, breast up, when the breast is at 72 °C', 3, 3, {
    cut: 'chicken',
    kg: 1.7,
    set_c: 190,
    core_c: 72,
  }),
  thighAhead(
    'Turkey 6 kg at 163 °C, two hours breast down, when the breast is at 74 °C',
    10,
    2.5,
    { cut: 'turkey', kg: 6, set_c: 163, core_c: 74 },
    7200,
  ),
]
