import { seededRandom } from '@/core/estimate/random'
import { solveSymmetric } from '@/core/estimate/smoother'
import { HEAT_PARAMETERS } from '@/core/heat/parameters'
import { usualThickness } from '@/core/heat/piece'
import { findCut } from '@/core/reference/cuts'
import { arrivalAt, type KnownCook } from '@/domain/accuracy/arrival'
import { KitchenHeat, KitchenRoast } from '@/stand-ins/kitchen/kitchen'
import { trueBird } from '@/stand-ins/truth/bird'
import { between, normal, trueCook } from '@/stand-ins/truth/truth'

/**
 * How much of an arrival's error readings could take away at all: what is left by a regression that has seen hundreds
 * of cooks of the very kitchens it is asked about, with the estimator's own answer among what it goes by. Once it has
 * seen all three kitchens and is not told which this is, once it is told. And what the same regression does to cooks of
 * a kitchen that it has not seen: whether it has learned how meat cooks, or who wrote the kitchens. Nothing here is
 * used to plan.
 *
 * npx tsx bench/told-apart.ts [first seed] [how many]
 */
const [first = 20_001, many = 400] = process.argv.slice(2).map(Number).filter(Number.isFinite)
/** When its readings are looked at, shares of the cook drawn evenly between: it is not told how far it is. */
const [FROM, TO] = [0.2, 0.65]
const FOLDS = 5
/** Width of the kernel and its ridge, by trial on the first of these cooks. */
const GAMMA = 0.02
const RIDGE = 0.15
const STEP_S = 20
const LOOKS = [0.2, 0.35, 0.5, 0.65, 0.75, 0.85, 0.92, 0.98]

interface Row {
  readonly name: string
  readonly fold: number
  readonly at: number
  readonly low: boolean
  readonly error: number
  /** By how much the arrival is later than it was foretold, as a logarithm. */
  readonly wanted: number
  readonly features: readonly number[]
}

function rowOf(cook: KnownCook, seed: number, at: number): Row {
  const now_s = at * cook.pull_s
  const { error, low } = arrivalAt(cook, at, 256)
  const { mass_kg, set_c, pull_c, fan, cut } = cook.told
  const courseOf = (body: number) => {
    const own = cook.readings.filter((reading) => (reading.body ?? 0) === body && reading.time_s <= now_s)
    return LOOKS.map((share) => {
      const near = own.filter(({ time_s }) => Math.abs(time_s - share * now_s) <= 0.04 * now_s + 61)
      return near.reduce((sum, { value_c }) => sum + value_c, 0) / Math.max(1, near.length)
    })
  }
  const [one, two] = [courseOf(0), courseOf(1)]
  const last = one.at(-1) as number
  const climbs = one.map((value) => (value - 5) / Math.max(3, last - 5))
  return {
    name: cook.name,
    fold: seed % FOLDS,
    at,
    low,
    error,
    wanted: -Math.log(1 + error),
    features: [
      Math.log(((1 + error) * cook.pull_s) / now_s),
      Math.log(mass_kg),
      set_c / 100,
      pull_c / 50,
      Number(fan),
      Math.log(now_s),
      Math.log((pull_c - Math.min(last, pull_c - 1)) / pull_c),
      Math.log(Math.max(0.5, last - 5)),
      ...climbs,
      (two.at(-1) as number) / 10,
      ...['beef-rib-bone-in', 'pork-loin', 'beef-tenderloin', 'beef-eye-of-round', 'turkey', 'chicken'].map((each) =>
        Number(each === cut),
      ),
    ],
  }
}

/** What kernel ridge regression on some rows says of others, logarithms. */
function regressed(known: readonly Row[], asked: readonly Row[]): number[] {
  const size = known[0]?.features.length ?? 0
  const column = (i: number) => known.map(({ features }) => features[i] as number)
  const scale = Array.from({ length: size }, (_, i) => {
    const mean = column(i).reduce((sum, value) => sum + value, 0) / known.length
    const spread = Math.sqrt(column(i).reduce((sum, value) => sum + (value - mean) ** 2, 0) / known.length)
    return { mean, spread: spread + 1e-9 }
  })
  const scaled = (row: Row) =>
    Float64Array.from(row.features, (value, i) => (value - (scale[i]?.mean ?? 0)) / (scale[i]?.spread ?? 1))
  const alike = (a: Float64Array, b: Float64Array) => {
    let square = 0
    for (let i = 0; i < size; i++) square += ((a[i] as number) - (b[i] as number)) ** 2
    return Math.exp(-GAMMA * square)
  }
  const at = known.map(scaled)
  const mean = known.reduce((sum, { wanted }) => sum + wanted, 0) / known.length
  const matrix = new Float64Array(at.length ** 2)
  for (const [i, x] of at.entries())
    for (const [j, y] of at.entries()) matrix[i * at.length + j] = alike(x, y) + (i === j ? RIDGE : 0)
  const w = solveSymmetric(
    matrix,
    Float64Array.from(known, ({ wanted }) => wanted - mean),
    at.length,
    1,
  )
  return asked.map((row) => {
    const x = scaled(row)
    return mean + at.reduce((sum, each, i) => sum + (w[i] as number) * alike(x, each), 0)
  })
}

/** Each row's error once a regression on the other folds has had its say. */
function corrected(rows: readonly Row[]): number[] {
  const errors = rows.map(({ error }) => error)
  for (let fold = 0; fold < FOLDS; fold++) {
    const asked = rows.map((row, i) => ({ row, i })).filter(({ row }) => row.fold === fold)
    const said = regressed(
      rows.filter((row) => row.fold !== fold),
      asked.map(({ row }) => row),
    )
    for (const [k, { row, i }] of asked.entries()) errors[i] = (1 + row.error) * Math.exp(said[k] as number) - 1
  }
  return errors
}

/** A cook of the kitchen in which promises are judged: any shape with either of its surface laws. */
function strangerCook(seed: number): KnownCook {
  const random = seededRandom(seed * 77 + 3)
  const { told } = trueCook(2 * seed + 1)
  const cut = findCut(told.cut)
  const thickness_m = cut ? usualThickness(cut, told.mass_kg, HEAT_PARAMETERS) * Math.exp(0.09 * normal(random)) : 0.1
  const piece = new KitchenRoast({
    seed,
    thickness_m,
    shape: between(random, 1.2, 2.6),
    start_c: between(random, 3, 9),
    family: random() < 0.5 ? 'plateau' : 'drying',
  })
  const heat = new KitchenHeat(7 * normal(random))
  heat.set(told.set_c)
  heat.air_c = told.set_c - 40
  piece.put(heat)
  const readings: { time_s: number; value_c: number }[] = []
  for (let time_s = STEP_S; time_s < 16 * 3600; time_s += STEP_S) {
    heat.advance(STEP_S)
    piece.advance(STEP_S)
    if (time_s % 60 === 0) readings.push({ time_s, value_c: piece.core_c + 0.15 * normal(random) })
    if (piece.core_c >= told.pull_c) return { name: 'a kitchen not seen', told, readings, pull_s: time_s }
  }
  return { name: 'a kitchen not seen', told, readings, pull_s: Number.NaN }
}

const looksAt = (cook: KnownCook, seed: number): Row[] => {
  const random = seededRandom(seed * 31 + 5)
  if (!Number.isFinite(cook.pull_s)) return []
  return Array.from({ length: 3 }, () => rowOf(cook, seed, between(random, FROM, TO)))
}
const rows: Row[] = []
const strangers: Row[] = []
for (let seed = first; seed < first + many; seed++) {
  for (const cook of seed % 2 === 0 ? [trueCook(seed), trueBird(seed)] : [trueCook(seed)])
    rows.push(...looksAt(cook, seed))
  if (seed % 2 === 0) strangers.push(...looksAt(strangerCook(seed), seed))
}
const FAMILIES = ['drying cylinder', 'swinging slab', 'coupled bird']
const told = rows.map(({ error }) => error)
for (const family of FAMILIES) {
  const own = rows.map((row, i) => ({ row, i })).filter(({ row }) => row.name === family)
  const errors = corrected(own.map(({ row }) => row))
  for (const [k, { i }] of own.entries()) told[i] = errors[k] as number
}
const middle = (values: readonly number[]) => [...values].sort((a, b) => a - b)[values.length >> 1] ?? Number.NaN
const WINDOWS = [
  [0.3, 0.4],
  [0.45, 0.55],
] as const
const percent = (value: number) => (100 * value).toFixed(1).padStart(6)
console.log(`Cooks ${first} to ${first + many - 1}, ${rows.length} looks; median error and bias, % of the cook`)
for (const [name, errors] of [
  ['the estimator', rows.map(({ error }) => error)],
  ['and a regression that knows all three kitchens', corrected(rows)],
  ['and one that is told which kitchen this is', told],
] as const) {
  console.log(name)
  for (const [low, high] of WINDOWS)
    for (const [of, fits] of [
      ['all', () => true],
      ...FAMILIES.map((family) => [family, (row: Row) => row.name === family] as const),
      ['ovens to 130 °C', (row: Row) => row.low],
    ] as const) {
      const own = errors.filter((_, i) => {
        const row = rows[i] as Row
        return row.at >= low && row.at < high && fits(row)
      })
      console.log(
        `  ${(100 * low).toFixed(0)}–${(100 * high).toFixed(0)} % ${of.padEnd(18)} ${String(own.length).padStart(4)} looks ${percent(middle(own.map(Math.abs)))} ${percent(middle(own))}`,
      )
    }
}
const carried = regressed(rows, strangers).map((later, i) => (1 + (strangers[i]?.error ?? 0)) * Math.exp(later) - 1)
console.log('cooks of a kitchen that the regression has not seen')
for (const [name, errors] of [
  ['the estimator', strangers.map(({ error }) => error)],
  ['and the regression that knows the three', carried],
] as const)
  for (const [low, high] of WINDOWS) {
    const own = errors.filter((_, i) => (strangers[i]?.at ?? 0) >= low && (strangers[i]?.at ?? 1) < high)
    console.log(
      `  ${(100 * low).toFixed(0)}–${(100 * high).toFixed(0)} % ${name.padEnd(40)} ${String(own.length).padStart(4)} looks ${percent(middle(own.map(Math.abs)))} ${percent(middle(own))}`,
    )
  }
