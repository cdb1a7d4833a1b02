import { createRequire } from 'node:module'
import { enthalpyAt } from '@/core/heat/enthalpy'
import { newSurroundings } from '@/core/heat/environment'
import { RoastKernel } from '@/core/heat/kernel'
import { HEAT_PARAMETERS } from '@/core/heat/parameters'
import { bodiesOf, type PieceBody } from '@/core/heat/piece'
import { conductionAt } from '@/core/heat/shape'
import { type Cut, findCut } from '@/core/reference/cuts'
import { time } from './measure'

/**
 * Work and precision of the kernel beside a general solver of ordinary differential equations (odex: Gragg, Bulirsch
 * and Stoer, by extrapolation, steps of its own choice) on the same grid and the same equations: a rib in a bag in an
 * oven of 115 °C, no steam and no radiation, so that nothing but conduction and contact is asked of either.
 */
const HOURS = 3
/** Its package brings sources that are not as strict as ours: typed here. */
interface General {
  absoluteTolerance: number
  relativeTolerance: number
  maxSteps: number
  solve(
    f: (t: number, y: number[]) => number[],
    from: number,
    y: readonly number[],
    to: number,
  ): { readonly y: number[] }
}
const { Solver } = createRequire(import.meta.url)('odex') as { readonly Solver: new (size: number) => General }
const SHELLS = 16
const cut = findCut('beef-rib-bone-in') as Cut
const [body] = bodiesOf({ cut, mass_kg: 2.7 }, HEAT_PARAMETERS) as [PieceBody]
const around = newSurroundings()
Object.assign(around, { air_c: 115, wall_c: 115, convection_w_per_m2k: 17, emissivity: 0, evaporation: 0 })
const timed = (work: () => number, repeats: number): { core_c: number; ms: number } => {
  let core_c = Number.NaN
  const ms = time(() => {
    core_c = work()
  }, repeats)
  return { core_c, ms }
}

const kernel = new RoastKernel(body, HEAT_PARAMETERS, 5, SHELLS)
const before = new Float64Array(kernel.stateSize)
const whole = new Float64Array(kernel.stateSize)
/** As the stepper does: whole, in two halves, and what they differ by taken off. */
function extrapolated(dt_s: number, seconds = HOURS * 3600): number {
  kernel.reset(5)
  for (let t = 0; t < seconds - 1e-6; t += dt_s) {
    kernel.keep(before)
    kernel.solve(dt_s, around)
    kernel.keep(whole)
    kernel.goBack(before)
    kernel.solve(dt_s / 2, around)
    kernel.solve(dt_s / 2, around)
    kernel.extrapolate(whole)
  }
  return kernel.core_c
}
function backward(dt_s: number): number {
  kernel.reset(5)
  for (let t = 0; t < HOURS * 3600 - 1e-6; t += dt_s) kernel.solve(dt_s, around)
  return kernel.core_c
}

// The same right-hand side, read off the kernel's own grid.
const inside = kernel as unknown as { faceGeometry: Float64Array; surfaceGeometry: number; coreWeight: number }
const { table, ball } = body
const top = table.rows - 1.000001
let asked = 0
function rates(_t: number, enthalpy: number[]): number[] {
  asked++
  const t = new Float64Array(SHELLS)
  const k = new Float64Array(SHELLS)
  for (let i = 0; i < SHELLS; i++) {
    const x = Math.min(top, Math.max(0, (enthalpy[i] as number) * table.perJoule))
    const row = x | 0
    const low = table.temperature[row] as number
    t[i] = low + (x - row) * ((table.temperature[row + 1] as number) - low)
    k[i] = table.conductivity[row] as number
  }
  const contact = around.convection_w_per_m2k * body.exposure
  const middle = HEAT_PARAMETERS.conductivity_factor * (k[SHELLS >> 1] as number)
  const factor = HEAT_PARAMETERS.conductivity_factor * conductionAt(ball, (contact * ball.short_m) / middle)
  const flows = new Float64Array(SHELLS + 1)
  for (let i = 0; i < SHELLS - 1; i++)
    flows[i + 1] =
      (factor / 2) *
      ((k[i] as number) + (k[i + 1] as number)) *
      (inside.faceGeometry[i] as number) *
      ((t[i + 1] as number) - (t[i] as number))
  const last = SHELLS - 1
  const toFront = factor * (k[last] as number) * inside.surfaceGeometry
  const through = kernel.area_m2 * contact
  flows[SHELLS] = (around.air_c - (t[last] as number)) / (1 / toFront + 1 / through)
  return Array.from(
    enthalpy,
    (_, i) => ((flows[i + 1] as number) - (flows[i] as number)) / (kernel.shellMass[i] as number),
  )
}
function general(tolerance: number): number {
  const solver = new Solver(SHELLS)
  solver.absoluteTolerance = tolerance * 1e5
  solver.relativeTolerance = tolerance
  solver.maxSteps = 200_000
  const { y } = solver.solve(rates, 0, Array(SHELLS).fill(enthalpyAt(table, 5)), HOURS * 3600)
  kernel.reset(5)
  kernel.enthalpy.set(y)
  kernel.keep(whole)
  kernel.goBack(whole)
  return kernel.core_c
}

const exact_c = general(1e-9)
/** How fast the core climbs at the end, K/s: what is off in degrees, as seconds. */
const climbs = (extrapolated(30) - extrapolated(30, HOURS * 3600 - 300)) / 300
console.log(
  `work and precision on one grid of ${SHELLS} shells, a rib in a bag for ${HOURS} h: core off against odex at 1e-9 (${exact_c.toFixed(4)} °C), in K and as seconds at ${(climbs * 60).toFixed(2)} K a minute`,
)
const told = (name: string, { core_c, ms }: { core_c: number; ms: number }, more = '') =>
  console.log(
    `  ${name.padEnd(34)} off by ${Math.abs(core_c - exact_c).toFixed(5)} K, ${(Math.abs(core_c - exact_c) / climbs).toFixed(1)} s, in ${ms.toFixed(2)} ms${more}`,
  )
for (const dt_s of [30, 120])
  told(
    `backward Euler, ${dt_s} s`,
    timed(() => backward(dt_s), 200),
  )
for (const dt_s of [60, 120, 240])
  told(
    `the kernel as stepped, ${dt_s} s`,
    timed(() => extrapolated(dt_s), 200),
  )
for (const tolerance of [1e-2, 1e-4, 1e-6]) {
  general(tolerance)
  asked = 0
  general(tolerance)
  const calls = asked
  told(
    `odex, tolerance ${tolerance}`,
    timed(() => general(tolerance), 9),
    `, ${calls} right-hand sides`,
  )
}
