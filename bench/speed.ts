import { spawnSync } from 'node:child_process'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { cookEnsemble, usualDoubt } from '@/core/estimate/ensemble'
import { newSurroundings, setSurroundings } from '@/core/heat/environment'
import { RoastKernel } from '@/core/heat/kernel'
import { DOMESTIC_OVEN } from '@/core/heat/oven'
import { HEAT_PARAMETERS } from '@/core/heat/parameters'
import { bodiesOf, type PieceBody } from '@/core/heat/piece'
import { findSchool, programOf, type School } from '@/core/program/schools'
import { type Cut, findCut } from '@/core/reference/cuts'
import { cook } from '@/core/simulate/cook'
import { RESOLUTION } from '@/core/simulate/stepper'
import { arrivalAt } from '@/domain/accuracy/arrival'
import { trueCook } from '@/stand-ins/truth/truth'
import { median, time } from './measure'

/** Prints the speed of the core. Ratios are within this run; single times depend on the machine. */
const cut = findCut('beef-rib-bone-in') as Cut
const steady = findSchool('steady') as School
const mass_kg = 2.7
const [body] = bodiesOf({ cut, mass_kg }, HEAT_PARAMETERS) as [PieceBody]
const program = programOf(steady, { ...steady.usual(cut), set_c: 115 }, cut, mass_kg)
const roast = (dt_s: number, shells: number) =>
  cook({
    bodies: [body],
    program,
    oven: DOMESTIC_OVEN,
    start_c: 5,
    pull_c: [53],
    parameters: HEAT_PARAMETERS,
    resolution: { dt_s, shells },
  })

const { dt_s: STEP_S, shells: SHELLS } = RESOLUTION.answer
const fine = roast(STEP_S / 16, 60)
const usual = roast(STEP_S, SHELLS)
const whole_ms = time(() => roast(STEP_S, SHELLS), 300)
console.log(
  `a ${(usual.pull_s / 3600).toFixed(1)} h roast, ${SHELLS} shells, ${STEP_S} s steps: ${whole_ms.toFixed(2)} ms median (goal 0.6), time to pull off by ${Math.abs(usual.pull_s - fine.pull_s).toFixed(0)} s (goal 10) against steps 16 times finer`,
)

console.log('work and precision, time to the pull against steps 16 times finer on 60 shells:')
for (const [dt_s, shells] of [
  [480, 12],
  [240, 12],
  [180, 12],
  [120, 16],
  [90, 16],
  [60, 20],
  [30, 30],
] as const) {
  const off_s = Math.abs(roast(dt_s, shells).pull_s - fine.pull_s)
  console.log(
    `  ${String(dt_s).padStart(4)} s steps, ${shells} shells: off by ${off_s.toFixed(1)} s in ${time(() => roast(dt_s, shells), 60).toFixed(2)} ms`,
  )
}

const two = findSchool('hot-start') as School
const ensemble_ms = time(
  () =>
    cookEnsemble({
      piece: { cut, mass_kg },
      program: programOf(two, two.usual(cut), cut, mass_kg),
      oven: DOMESTIC_OVEN,
      start_c: 5,
      pull_c: [50],
      parameters: HEAT_PARAMETERS,
      doubt: usualDoubt(false),
      members: 256,
      seed: 1,
    }),
  15,
)
console.log(`ensemble of 256, two stages and a rest: ${ensemble_ms.toFixed(0)} ms on one thread (goal 150)`)

const STEPS = 400
const around = newSurroundings()
setSurroundings(around, 'oven', 'still', 'bare', HEAT_PARAMETERS)
around.air_c = 115
around.wall_c = 115
const kernel = new RoastKernel(body, HEAT_PARAMETERS, 5)
const kernelRun = () => {
  kernel.reset(5)
  for (let i = 0; i < STEPS; i++) kernel.solve(30, around)
}
const heap = process.memoryUsage().heapUsed
for (let i = 0; i < 200; i++) kernelRun()
const perStep = (process.memoryUsage().heapUsed - heap) / (200 * STEPS)
console.log(`heap growth over ${200 * STEPS} steps: ${Math.max(0, perStep).toFixed(2)} bytes a step`)

const folder = mkdtempSync(join(tmpdir(), 'pheasant-bench-'))
const built = spawnSync('gcc', [
  '-O3',
  '-o',
  join(folder, 'roast'),
  resolve(import.meta.dirname, 'native/roast.c'),
  '-lm',
])
if (built.status !== 0) console.log('no C compiler here: the comparison with C is left out')
else {
  const inside = kernel as unknown as Record<string, Float64Array & number>
  const { table, ball } = body
  const p = HEAT_PARAMETERS
  kernel.reset(5)
  const numbers = [
    kernel.shells,
    table.rows,
    around.vapour.rows,
    table.perJoule,
    ...table.temperature,
    ...table.conductivity,
    ...table.heat,
    ...around.vapour.heat,
    ...kernel.shellMass,
    ...(inside.faceGeometry as Float64Array),
    inside.surfaceGeometry,
    kernel.area_m2,
    body.exposure,
    body.wetness,
    body.mass_kg,
    body.water * p.density_kg_per_m3,
    ball.conduction,
    inside.coreWeight,
    p.conductivity_factor,
    p.free_water,
    p.crust_w_per_mk,
    p.crust_diffusivity_m2_per_s,
    p.replenished,
    30,
    around.air_c,
    around.wall_c,
    around.convection_w_per_m2k,
    around.emissivity,
    around.evaporation,
    kernel.enthalpy[0],
    ball.short_m,
    ...ball.yields,
    p.dries_s,
    body.restingWetness ?? body.wetness,
  ] as number[]
  writeFileSync(join(folder, 'body'), Buffer.from(Float64Array.from(numbers).buffer))
  const c: number[] = []
  const ts: number[] = []
  let core = ''
  for (let round = 0; round < 5; round++) {
    ts.push(time(kernelRun, 200))
    const run = spawnSync(join(folder, 'roast'), [join(folder, 'body'), String(STEPS), '200'], { encoding: 'utf8' })
    const lines = run.stdout.trim().split('\n')
    core = lines.pop() ?? ''
    c.push(median(lines.map(Number)))
  }
  console.log(
    `the same ${STEPS} steps: TypeScript ${median(ts).toFixed(3)} ms, C with -O3 ${median(c).toFixed(3)} ms, ratio ${(median(ts) / median(c)).toFixed(2)} (goal 2); cores ${kernel.core_c.toFixed(4)} (reset) and ${core}`,
  )
  kernelRun()
  console.log(`TypeScript's core after the same steps: ${kernel.core_c.toFixed(6)}`)
}

const known = trueCook(3)
const update_ms = time(() => arrivalAt(known, 0.6, 256), 9)
console.log(`an update of the arrival with 256 members: ${update_ms.toFixed(0)} ms (goal 150)`)
