import { seededRandom, stratifiedNormals } from '@/core/estimate/random'
import { smooth } from '@/core/estimate/smoother'
import { HEAT_PARAMETERS, type HeatParameters, type PARAMETER_DOUBT } from '@/core/heat/parameters'
import { RESOLUTION } from '@/core/simulate/stepper'
import { EVIDENCE, type Evidence, type EvidenceGroup, missOf, scaledBy } from '@/domain/accuracy/evidence'

/**
 * Lays the shared parameters of the heat model on all evidence at once, and says how sure that leaves them.
 *
 * A joint posterior by the same ensemble smoother that reads a probe: members are parameter sets, drawn from the
 * ranges of physics (the prior), moved towards the evidence by its doubt. No cut has a factor of its own.
 *
 * npm run calibrate -- [members] [rounds] [--leave-out]
 */

/** Where each parameter lay before the evidence: middle, and one standard deviation of its logarithm. From handbook ranges. */
const PRIOR: Readonly<Partial<Record<keyof HeatParameters, readonly [number, number]>>> = {
  conductivity_factor: [1.05, 0.08],
  still_conductivity_factor: [0.85, 0.1],
  still_oven_w_per_m2k: [11, 0.15],
  wetness: [0.55, 0.4],
  dries_s: [4 * 3600, 0.6],
  crust_w_per_mk: [0.2, 0.35],
  crust_diffusivity_m2_per_s: [1.5e-5, 0.5],
  vent_m3_per_s: [0.003, 0.5],
  replenished: [0.22, 0.5],
  resting_wetness: [0.7, 0.35],
  counter_w_per_m2k: [7.5, 0.15],
  foil_contact: [0.85, 0.12],
  foil_radiation: [0.25, 0.35],
  foil_leaks: [0.01, 0.5],
  bone_exposure: [0.9, 0.06],
  bone_wet: [0.8, 0.15],
  skin_wet: [0.5, 0.3],
  breast_exposure: [0.85, 0.07],
  thigh_exposure: [0.65, 0.12],
  cavity_w_per_m2k: [45, 0.3],
}
const NAMES = Object.keys(PRIOR) as (keyof HeatParameters)[]
const SHARES = new Set<keyof HeatParameters>(['bone_exposure', 'breast_exposure', 'thigh_exposure', 'foil_contact'])

const args = process.argv.slice(2)
const [members = 96, rounds = 4] = args.map(Number).filter(Number.isFinite)
const SEED = 12

const parameterOf = (name: keyof HeatParameters, log: number) => {
  const value = (PRIOR[name]?.[0] ?? 1) * Math.exp(log)
  // What is not replenished is what is positive.
  if (name === 'replenished') return 1 - Math.min(1, value)
  return SHARES.has(name) ? Math.min(1, value) : value
}
const parametersWith = (theta: readonly Float64Array[], m: number): HeatParameters => ({
  ...HEAT_PARAMETERS,
  ...Object.fromEntries(NAMES.map((name, p) => [name, parameterOf(name, theta[p]?.[m] as number)])),
})

function predictAll(parameters: HeatParameters, evidence: readonly Evidence[], fine: boolean): number[] {
  return evidence.map(({ predict }) => predict(parameters, fine ? RESOLUTION.answer : RESOLUTION.member))
}

function posteriorOf(evidence: readonly Evidence[], count: number, times: number): Float64Array[] {
  const random = seededRandom(SEED)
  const theta = NAMES.map((name) => stratifiedNormals(count, random).map((z) => z * (PRIOR[name]?.[1] ?? 0)))
  for (let round = 0; round < times; round++) {
    const predictions = new Float64Array(evidence.length * count)
    for (let m = 0; m < count; m++) {
      const said = predictAll(parametersWith(theta, m), evidence, false)
      evidence.forEach((row, k) => {
        const value = scaledBy(row, said[k] as number)
        predictions[k * count + m] = Number.isFinite(value) ? value : scaledBy(row, row.value) + 5
      })
    }
    smooth(
      theta,
      predictions,
      evidence.map((row) => scaledBy(row, row.value)),
      count,
      times,
    )
  }
  return theta
}

const meanOf = (values: Float64Array) => values.reduce((sum, value) => sum + value, 0) / values.length
const middle = (theta: readonly Float64Array[]): HeatParameters =>
  parametersWith(
    theta.map((column) => Float64Array.of(meanOf(column))),
    0,
  )
const rootMean = (values: readonly number[]) =>
  Math.sqrt(values.reduce((sum, value) => sum + value ** 2, 0) / values.length)
const show = ({ unit }: Evidence, value: number) => `${value.toFixed(unit === 'min' ? 0 : 1)} ${unit}`

const theta = posteriorOf(EVIDENCE, members, rounds)
const found = middle(theta)
const before = predictAll(HEAT_PARAMETERS, EVIDENCE, true)
const after = predictAll(found, EVIDENCE, true)

console.log(`Evidence: ${EVIDENCE.length} facts; ${members} members, ${rounds} rounds, seed ${SEED}`)
console.log(
  `${'fact'.padEnd(72)} ${'outside'.padStart(9)} ${'in use'.padStart(9)} ${'posterior'.padStart(9)}  off by (doubts)`,
)
EVIDENCE.forEach((row, k) => {
  console.log(
    `${row.name.padEnd(72)} ${show(row, row.value).padStart(9)} ${show(row, before[k] as number).padStart(9)} ${show(row, after[k] as number).padStart(9)}  ${missOf(row, before[k] as number).toFixed(1)} → ${missOf(row, after[k] as number).toFixed(1)}  (${row.source}${row.note ? `; ${row.note}` : ''})`,
  )
})
const groups = [...new Set(EVIDENCE.map(({ group }) => group))]
for (const group of groups) {
  const rows = EVIDENCE.map((row, k) => ({ row, k })).filter(({ row }) => row.group === group)
  console.log(
    `${group.padEnd(14)} ${rows.length} facts: root mean square, in doubts, in use ${rootMean(rows.map(({ row, k }) => missOf(row, before[k] as number))).toFixed(2)}, posterior ${rootMean(rows.map(({ row, k }) => missOf(row, after[k] as number))).toFixed(2)}`,
  )
}
console.log('\nParameter                     in use   posterior   one deviation of its logarithm: prior → posterior')
NAMES.forEach((name, p) => {
  const column = theta[p] as Float64Array
  const mean = meanOf(column)
  const deviation = Math.sqrt(column.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (column.length - 1))
  console.log(
    `${name.padEnd(28)} ${Number(HEAT_PARAMETERS[name]).toPrecision(3).padStart(8)} ${parameterOf(name, mean).toPrecision(4).padStart(10)}   ${(PRIOR[name]?.[1] ?? 0).toFixed(2)} → ${deviation.toFixed(2)}`,
  )
})

/** What a plan's doubt draws, each by the parameter that stands for it. */
const DRAWN = {
  conduction: 'conductivity_factor',
  contact: 'still_oven_w_per_m2k',
  wetness: 'wetness',
  drying: 'dries_s',
} as const satisfies Record<keyof typeof PARAMETER_DOUBT, keyof HeatParameters>
const columnOf = (name: keyof HeatParameters) => theta[NAMES.indexOf(name)] as Float64Array
/** How much two columns go with one another, -1 to 1. */
function together(a: Float64Array, b: Float64Array): number {
  const over = (x: Float64Array, y: Float64Array) =>
    x.reduce((sum, value, m) => sum + (value - meanOf(x)) * ((y[m] as number) - meanOf(y)), 0)
  return over(a, b) / Math.sqrt(over(a, a) * over(b, b))
}
console.log('\nHow the four that a plan draws go with one another (1: as one, 0: not at all):')
for (const [drawn, name] of Object.entries(DRAWN))
  console.log(
    `${drawn.padEnd(12)} ${Object.values(DRAWN)
      .map((other) => together(columnOf(name), columnOf(other)).toFixed(2).padStart(6))
      .join('')}`,
  )

if (args.includes('--leave-out')) {
  console.log('\nEach group foretold by the others alone (root mean square, in doubts):')
  for (const group of groups as EvidenceGroup[]) {
    const others = EVIDENCE.filter((row) => row.group !== group)
    const own = EVIDENCE.filter((row) => row.group === group)
    const said = predictAll(middle(posteriorOf(others, members, rounds)), own, true)
    console.log(`${group.padEnd(14)} ${rootMean(own.map((row, k) => missOf(row, said[k] as number))).toFixed(2)}`)
  }
}
