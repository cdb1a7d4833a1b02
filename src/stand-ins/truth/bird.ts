import { seededRandom } from '@/core/estimate/random'
import { Ball } from './shells'
import { between, K, magnus, normal, RHO_C, type TrueCook } from './truth'

const SHELLS = 14

/** Meat in it gets no hotter, °C. */
const MOST_C = 100

/**
 * The third family: a bird of three bodies that touch, breast, thigh and carcass, in an oven that switches on and
 * off. Two probes, one in each; it is done when both are. Its sizes, its skin and its oven are its own.
 */
export function trueBird(seed: number): TrueCook {
  const random = seededRandom(seed * 6271 + 29)
  const turkey = random() < 0.6
  const mass_kg = turkey ? between(random, 3.5, 9) : between(random, 1.3, 2.6)
  const set_c = (turkey ? [150, 163, 175] : [165, 180, 200])[Math.floor(random() * 3)] as number
  const start_c = between(random, 3, 8)
  const pull_c = between(random, 68, 73)
  const fan = random() < 0.3
  const told = { cut: turkey ? 'turkey' : 'chicken', mass_kg, set_c, start_c: 5, pull_c, fan }
  const about = (sigma: number) => Math.exp(sigma * normal(random))
  const size = Math.cbrt(mass_kg)
  const breast = new Ball(0.038 * size * about(0.07), start_c, SHELLS)
  const thigh = new Ball(0.034 * size * about(0.07), start_c, SHELLS)
  let carcass = start_c
  const carcass_j = 0.25 * mass_kg * 3000
  const h = (fan ? 20 : 11.5) * about(0.14) + 8.5
  const wet0 = between(random, 0.08, 0.25)
  const decay_s = between(random, 1, 4) * 3600
  const touch = between(random, 12, 30)
  const dt = Math.min(12, 0.2 * Math.min(breast.dr, thigh.dr) ** 2 * (RHO_C / K))
  const offset = 7 * normal(random)
  const off = [between(random, 0, 0.25), between(random, 0, 0.25)] as const
  let oven = set_c + offset - 45
  let heating = true
  const readings: { time_s: number; value_c: number; body: number }[] = []
  const air: { time_s: number; value_c: number }[] = []
  const core: { time_s: number; value_c: number }[] = []
  let pull_s = Number.NaN
  let nextRead = 60
  for (let time = 0; time < 10 * 3600; ) {
    if (oven > set_c + offset + 9) heating = false
    if (oven < set_c + offset - 9) heating = true
    oven += heating ? 0.18 * dt : -((oven - 21) * dt) / 2700
    const wet = wet0 * Math.exp(-time / decay_s)
    const flux = (body: Ball, shade: number, shares: number) => {
      const dry = shade * h * (oven - body.front_c)
      const lost = (wet * h * 0.0163 * Math.max(0, magnus(Math.min(body.front_c, 99.5)) - 3500)) / 1.5
      return dry - Math.min(lost, 0.9 * Math.max(0, dry) + 150) + (shares * touch * (carcass - body.front_c)) / 4
    }
    const toBreast = flux(breast, 0.86, 0.25)
    const toThigh = flux(thigh, 0.72, 0.4)
    const given =
      (breast.area_m2 * 0.25 * touch * (breast.front_c - carcass)) / 4 +
      (thigh.area_m2 * 0.4 * touch * (thigh.front_c - carcass)) / 4
    carcass += ((given + 0.018 * size ** 2 * 0.8 * h * (oven - carcass)) * dt) / carcass_j
    breast.step(dt, toBreast, MOST_C)
    thigh.step(dt, toThigh, MOST_C)
    time += dt
    if (time >= nextRead) {
      ;[breast, thigh].forEach((body, i) => {
        const at = Math.min(SHELLS - 1, Math.floor((off[i] as number) * SHELLS))
        readings.push({ time_s: time, value_c: (body.shells[at] as number) + 0.15 * normal(random), body: i })
      })
      air.push({ time_s: time, value_c: oven + 0.8 * normal(random) })
      core.push({ time_s: time, value_c: Math.min(breast.core_c, thigh.core_c) })
      nextRead += 60
    }
    if (Number.isNaN(pull_s) && Math.min(breast.core_c, thigh.core_c) >= pull_c) pull_s = time
    if (Math.min(breast.core_c, thigh.core_c) > pull_c + 4) break
  }
  return { name: 'coupled bird', told, readings, air, pull_s, core }
}
