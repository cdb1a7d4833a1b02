import { sliceOf } from '@/core/doneness/slice'
import { HEAT_PARAMETERS } from '@/core/heat/parameters'
import { bodiesOf } from '@/core/heat/piece'
import { findSchool, programOf, type SchoolSettings, steadyProgram } from '@/core/program/schools'
import { CHART_ROWS, type ChartRow } from '@/core/reference/charts'
import { scaleOf } from '@/core/reference/doneness'
import { HOLD_TABLE, integrateLethality } from '@/core/safety/lethality'
import { poultryDecades } from '@/core/safety/poultry'
import { cook } from '@/core/simulate/cook'
import { findPull } from '@/core/simulate/pull'
import { RESOLUTION } from '@/core/simulate/stepper'
import { fahrenheitToCelsius } from '@/core/units'
import {
  CHART_START_C,
  cookedRow,
  EVIDENCE,
  type Evidence,
  missOf,
  mustFind,
  ofRow,
  risesBy,
  STEADY_OVEN,
} from './evidence'

/** One published row beside what the model says of it. Minutes; shares are of the published value. */
export interface ChartCheck {
  readonly row: ChartRow
  readonly cutName: string
  readonly mass_kg: number
  readonly predicted_min: number
  readonly low_min: number
  readonly high_min: number
  /** Outside the interval by so much: 0 inside. */
  readonly outside: number
  /** Against the middle of the interval. */
  readonly error: number
}

/** A rule of the trade or a property beside what the model says of it. */
export interface RuleCheck {
  readonly name: string
  readonly expected: string
  readonly found: string
  readonly met: boolean
  readonly source: string
}

/** A fact the shared parameters were laid on, beside what the model says of it. */
export interface FactCheck extends Omit<Evidence, 'predict'> {
  readonly found: number
  /** In doubts of the fact. */
  readonly off: number
}

export interface Accuracy {
  readonly charts: readonly ChartCheck[]
  /** Beside the charts: low ovens, covers, rises, weights, birds inside. */
  readonly facts: readonly FactCheck[]
  readonly rules: readonly RuleCheck[]
  /** Of the rows the parameters were chosen with, and of the others. */
  readonly summary: {
    readonly reference: ChartSummary
    readonly others: ChartSummary
  }
}

export interface ChartSummary {
  readonly rows: number
  readonly within15: number
  readonly medianError: number
}

const oven = STEADY_OVEN
const parameters = HEAT_PARAMETERS

const steadyAt = (set_c: number, rest_min = 60) => steadyProgram(set_c, rest_min)

function checkRow(row: ChartRow): ChartCheck {
  const cut = mustFind(row.cut)
  const { what, low_min, high_min } = ofRow(row)
  const predicted_min = cookedRow(row, parameters).pull_s / 60
  return {
    row,
    cutName: cut.name + (row.stuffed ? ', stuffed' : ''),
    mass_kg: what.kg,
    predicted_min,
    low_min,
    high_min,
    outside:
      predicted_min < low_min
        ? predicted_min / low_min - 1
        : predicted_min > high_min
          ? predicted_min / high_min - 1
          : 0,
    error: predicted_min / ((low_min + high_min) / 2) - 1,
  }
}

const median = (values: readonly number[]) => {
  const sorted = [...values].sort((a, b) => a - b)
  const i = (sorted.length - 1) / 2
  return ((sorted[Math.floor(i)] ?? Number.NaN) + (sorted[Math.ceil(i)] ?? Number.NaN)) / 2
}
const summaryOf = (rows: readonly ChartCheck[]): ChartSummary => ({
  rows: rows.length,
  within15: rows.filter(({ outside }) => Math.abs(outside) <= 0.15).length,
  medianError: median(rows.map(({ error }) => Math.abs(error))),
})

const TRADE = 'common practice'
const one = (value: number) => value.toFixed(1)

function schoolRun(
  cutId: string,
  mass_kg: number,
  schoolId: string,
  change: Partial<SchoolSettings>,
  start_c: number,
  serve_c: number,
) {
  const cut = mustFind(cutId)
  const school = findSchool(schoolId)
  if (!school) throw new RangeError(`no school ${schoolId}`)
  const bodies = bodiesOf({ cut, mass_kg }, parameters)
  const program = programOf(school, { ...school.usual(cut), ...change }, cut, mass_kg)
  const scale = scaleOf(cut)
  const answer = findPull({ bodies, program, oven, start_c, parameters }, serve_c, undefined, scale.pullFloor_c)
  const rim_m = sliceOf(
    answer.run.kernels[0] as (typeof answer.run.kernels)[number],
    scale,
    bodies[0]?.thickness_m ?? 0,
  ).rim_m
  return { ...answer, rim_m }
}

function rises(): RuleCheck[] {
  const pieces = [
    ['beef-rib-bone-in', 1.5],
    ['beef-rib-bone-in', 2.2],
    ['beef-rib-bone-in', 3],
    ['lamb-leg-bone-in', 2.5],
    ['pork-loin', 1.8],
    ['pork-loin', 2.8],
  ] as const
  return [
    { ovens: [110, 120, 130], low: 2, high: 5 },
    { ovens: [160, 170, 180], low: 5, high: 9 },
  ].flatMap(({ ovens, low, high }) =>
    pieces.map(([id, mass_kg]) => {
      const found = ovens.map((set_c) => {
        const bodies = bodiesOf({ cut: mustFind(id), mass_kg }, parameters)
        const setup = { bodies, program: steadyAt(set_c), oven, start_c: CHART_START_C, parameters }
        const { pull_c } = findPull(setup, 57)
        // As a usual probe shows it, which lies a little off the core and has a stem in the oven.
        return risesBy({ ...setup, pull_c })
      })
      return {
        name: `Rise in the rest as a probe shows it, ${mustFind(id).name.toLowerCase()} ${mass_kg} kg, oven ${ovens[0]}–${ovens.at(-1)} °C`,
        expected: `${low}–${high} K`,
        found: `${found.map(one).join(' / ')} K`,
        met: found.every((rise) => rise > low - 1 && rise < high + 1),
        source: TRADE,
      }
    }),
  )
}

function rules(): RuleCheck[] {
  const checks: RuleCheck[] = [...rises()]
  for (const [school, start_c, name] of [
    ['oven-off', 18, 'Oven off (11 min/kg at 260 °C, tempered, 2 h off)'],
    ['cold-start', 8, 'Cold start, off, reheat'],
  ] as const) {
    const peaks = [1.8, 2.7, 4].map(
      (mass) => schoolRun('beef-rib-bone-in', mass, school, {}, start_c, 55).run.peak_c[0] as number,
    )
    checks.push({
      name: `${name}: rib of 1.8 / 2.7 / 4 kg`,
      expected: 'rare to medium, 49–63 °C',
      found: `${peaks.map(one).join(' / ')} °C`,
      met: peaks.every((peak) => peak >= 48.5 && peak <= 63.5),
      source: TRADE,
    })
  }
  const gentle = schoolRun('beef-rib-bone-in', 2.7, 'reverse-sear', { set_c: 95 }, CHART_START_C, 55).rim_m
  const hot = schoolRun('beef-rib-bone-in', 2.7, 'steady', { set_c: 230 }, CHART_START_C, 55).rim_m
  checks.push({
    name: 'Grey rim: reverse sear at 95 °C against a hot roast at 230 °C, rib 2.7 kg',
    expected: 'a third or less',
    found: `${one(gentle * 1000)} mm against ${one(hot * 1000)} mm`,
    met: gentle <= hot / 3,
    source: TRADE,
  })
  const ahead = (school: string) => {
    const { run } = schoolRun('turkey', 6, school, {}, CHART_START_C, 74)
    return (run.peak_c[1] as number) - (run.peak_c[0] as number)
  }
  const straight = ahead('steady')
  const turned = ahead('bird-turned')
  checks.push({
    name: 'Turkey of 6 kg, thigh over breast when both are done: breast up, and turned',
    expected: 'breast up not behind; turned well ahead',
    found: `${one(straight)} K straight, ${one(turned)} K turned`,
    met: straight >= -1 && turned > straight + 3,
    source: TRADE,
  })
  const toThaw = (start_c: number) => {
    const cut = mustFind('beef-rib-bone-in')
    const bodies = bodiesOf({ cut, mass_kg: 2.7 }, parameters)
    return cook({ bodies, program: steadyAt(160, 0), oven, start_c, parameters, pull_c: [55] }).pull_s
  }
  const ratio = toThaw(-15) / toThaw(CHART_START_C)
  checks.push({
    name: 'Frozen through against fridge-cold, rib 2.7 kg at 160 °C',
    expected: 'about half as long again, 1.3–1.9',
    found: `${ratio.toFixed(2)} ×`,
    met: ratio > 1.3 && ratio < 1.9,
    source: TRADE,
  })
  const worst = Math.max(
    ...HOLD_TABLE.filter(({ seconds }) => seconds > 0).map(({ temp_f, seconds }) => {
      const time = Float64Array.from({ length: 101 }, (_, i) => (i * seconds) / 100)
      const level = new Float64Array(101).fill(fahrenheitToCelsius(temp_f))
      return Math.abs(integrateLethality(time, level, 101).share - 1)
    }),
  )
  checks.push({
    name: 'Hold table reproduced by integration at each row’s temperature',
    expected: 'each row met at its time',
    found: `worst off by ${worst.toExponential(1)}`,
    met: worst < 1e-6,
    source: 'US model Food Code 3-401.11(B), from memory',
  })
  const decades = poultryDecades([0, 1512], [60, 60], 2)
  checks.push({
    name: 'Poultry: 1512 s at 60 °C',
    expected: '7 decades',
    found: `${decades.toFixed(2)} decades`,
    met: Math.abs(decades - 7) < 0.01,
    source: 'US agency guidance for poultry, row 140 °F, from memory',
  })
  return checks
}

const facts = (): FactCheck[] =>
  EVIDENCE.filter(({ group }) => !group.endsWith('charts')).map((fact) => {
    const { predict, ...told } = fact
    const found = predict(parameters, RESOLUTION.answer)
    return { ...told, found, off: missOf(fact, found) }
  })

/** Everything the model is judged by, computed now. About half a second. */
export function accuracy(): Accuracy {
  const charts = CHART_ROWS.map(checkRow)
  return {
    charts,
    facts: facts(),
    rules: rules(),
    summary: {
      reference: summaryOf(charts.filter(({ row }) => row.inReference)),
      others: summaryOf(charts.filter(({ row }) => !row.inReference)),
    },
  }
}
