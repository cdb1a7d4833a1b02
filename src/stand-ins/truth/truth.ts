import { seededRandom } from '@/core/estimate/random'

/**
 * Cooks made by other physics than the planner's, for judging its estimates: temperatures on their
 * own grids, their own surface laws, their own ovens. Nothing here is used to plan.
 */
export interface TrueCook {
  readonly name: 'drying cylinder' | 'swinging slab' | 'coupled bird'
  /** What the cook was told: the planner starts from this. */
  readonly told: {
    readonly cut: string
    readonly mass_kg: number
    readonly set_c: number
    readonly start_c: number
    readonly pull_c: number
    readonly fan: boolean
  }
  /** Probe readings each minute: since put-in, s, °C. */
  readonly readings: readonly { readonly time_s: number; readonly value_c: number; readonly body?: number }[]
  readonly air: readonly { readonly time_s: number; readonly value_c: number }[]
  /** When the true centre reached the pull reading, s. */
  readonly pull_s: number
  readonly core: readonly { readonly time_s: number; readonly value_c: number }[]
}

/** Conductivity, W/m·K, and heat to warm a cubic metre by a kelvin, J: round figures, not the planner's. */
export const K = 0.5
export const RHO_C = 1060 * 3450
export const normal = (random: () => number) =>
  Math.sqrt(-2 * Math.log(Math.max(1e-12, random()))) * Math.cos(2 * Math.PI * random())
export const between = (random: () => number, low: number, high: number) => low + (high - low) * random()

const CUTS = [
  { cut: 'beef-rib-bone-in', mass: [1.8, 5], thick: (m: number) => 0.11 * (m / 3.5) ** 0.15, wide: 1.35 },
  { cut: 'pork-loin', mass: [1.2, 3.5], thick: (m: number) => 0.07 * (m / 1.8) ** 0.15, wide: 1.3 },
  { cut: 'beef-tenderloin', mass: [1.4, 2.8], thick: (m: number) => 0.066 * (m / 2.2) ** 0.2, wide: 1.2 },
  { cut: 'beef-eye-of-round', mass: [0.9, 2.4], thick: (m: number) => 0.072 * (m / 1.3) ** 0.15, wide: 1.2 },
] as const

/** Vapour pressure over water, Pa, by Magnus' formula: not the planner's. */
export const magnus = (t: number) => 610.94 * Math.exp((17.625 * t) / (t + 243.04))

/** A true cook by its number. Even numbers: a drying cylinder in two dimensions; odd: a slab-like piece in an oven that swings and is opened. */
export function trueCook(seed: number, wanted?: Partial<TrueCook['told']>): TrueCook {
  const random = seededRandom(seed * 7919 + 13)
  const drawn = CUTS[Math.floor(random() * CUTS.length)] as (typeof CUTS)[number]
  const kind = CUTS.find(({ cut }) => cut === wanted?.cut) ?? drawn
  const mass_kg = wanted?.mass_kg ?? between(random, kind.mass[0], kind.mass[1])
  const set_c = wanted?.set_c ?? ([110, 120, 140, 160, 170, 180, 200][Math.floor(random() * 7)] as number)
  const start_c = between(random, 3, 9)
  const pull_c = wanted?.pull_c ?? between(random, 48, 58)
  const fan = wanted?.fan ?? random() < 0.3
  const told = { cut: kind.cut, mass_kg, set_c, start_c: 5, pull_c, fan }
  const thickness = kind.thick(mass_kg) * Math.exp(0.09 * normal(random))
  const offset = 7 * normal(random)
  const shared = { random, told, mass_kg, set_c: set_c + offset, start_c, pull_c, fan }
  return seed % 2 === 0
    ? dryingCylinder({ ...shared, radius_m: (thickness / 2) * Math.sqrt(kind.wide) })
    : swingingSlab({ ...shared, half_m: (thickness / 2) * 1.03, wide: kind.wide * 1.25 })
}

interface Made {
  readonly random: () => number
  readonly told: TrueCook['told']
  readonly mass_kg: number
  readonly set_c: number
  readonly start_c: number
  readonly pull_c: number
  readonly fan: boolean
}

/** Two dimensions, explicit; a wetness that decays with time; evaporation by Magnus' formula. */
function dryingCylinder(made: Made & { readonly radius_m: number }): TrueCook {
  const { random, told, radius_m, mass_kg } = made
  const length = (mass_kg * 0.9) / 1060 / (Math.PI * radius_m ** 2)
  const nr = 12
  const nz = 8
  const dr = radius_m / nr
  const dz = length / 2 / nz
  const dt = Math.min(20, 0.22 * Math.min(dr, dz) ** 2 * (RHO_C / K))
  const h = (made.fan ? 22 : 12) * Math.exp(0.15 * normal(random)) + 10
  const wet0 = between(random, 0.35, 0.75)
  const decay_s = between(random, 1.5, 4) * 3600
  const t = new Float64Array(nr * nz).fill(made.start_c)
  const off = between(random, 0, 0.3) * nr
  const air = (time: number) => made.set_c - 60 * Math.exp(-time / 240) + 4 * Math.sin(time / 150)
  return march(made, told, 'drying cylinder', dt, {
    step: (time) => {
      const wet = wet0 * Math.exp(-time / decay_s)
      const flux = (surface: number) => {
        const out = h * (air(time) - surface)
        const wetLoss = (wet * h * 0.0163 * Math.max(0, magnus(Math.min(surface, 99.5)) - 3200)) / 1.6
        return out - Math.min(wetLoss, 0.93 * Math.max(out, 0) + 200)
      }
      const next = Float64Array.from(t)
      for (let i = 0; i < nr; i++) {
        const inner = i * dr
        const outer = inner + dr
        const ring = (outer ** 2 - inner ** 2) / 2
        for (let j = 0; j < nz; j++) {
          const here = t[i * nz + j] as number
          let q = 0
          if (i > 0) q += ((inner * K) / dr) * ((t[(i - 1) * nz + j] as number) - here) * dz
          q += i < nr - 1 ? ((outer * K) / dr) * ((t[(i + 1) * nz + j] as number) - here) * dz : outer * dz * flux(here)
          if (j > 0) q += ring * (K / dz) * ((t[i * nz + j - 1] as number) - here)
          q += j < nz - 1 ? ring * (K / dz) * ((t[i * nz + j + 1] as number) - here) : ring * flux(here)
          next[i * nz + j] = Math.min(100, here + (q * dt) / (RHO_C * ring * dz))
        }
      }
      t.set(next)
    },
    core: () => t[0] as number,
    probe: () => t[Math.min(nr - 1, Math.floor(off)) * nz] as number,
    air,
  })
}

/** A flat block in three directions lumped as one dimension with side losses; thermostat that switches; doors that open. */
function swingingSlab(made: Made & { readonly half_m: number; readonly wide: number }): TrueCook {
  const { random, told, half_m, wide } = made
  const n = 24
  const dx = half_m / n
  const dt = Math.min(15, 0.3 * dx ** 2 * (RHO_C / K))
  const width = half_m * wide
  const h = (made.fan ? 20 : 11) * Math.exp(0.15 * normal(random)) + 9
  const plateau = between(random, 66, 84)
  const sticky = between(random, 0.45, 0.7)
  const off = between(random, 0, 0.28)
  const t = new Float64Array(n).fill(made.start_c)
  const doors = Array.from({ length: Math.floor(random() * 4) }, () => between(random, 1200, 9000)).sort(
    (a, b) => a - b,
  )
  let oven = made.set_c - 40
  let heating = true
  let door = 0
  return march(made, told, 'swinging slab', dt, {
    step: (time) => {
      if (door < doors.length && time >= (doors[door] as number)) {
        oven -= 0.35 * (oven - 21)
        door++
      }
      if (oven > made.set_c + 7) heating = false
      if (oven < made.set_c - 7) heating = true
      oven += heating ? 0.16 * dt : -((oven - 21) * dt) / 3000
      const out = h * (oven - (t[n - 1] as number))
      // Past its plateau the surface keeps only part of what it gets: the rest dries it.
      const kept =
        (t[n - 1] as number) > plateau ? out * sticky * 0.8 : out * (1 - 0.42 * ((t[n - 1] as number) / plateau) ** 2)
      const next = Float64Array.from(t)
      for (let i = 0; i < n; i++) {
        const here = t[i] as number
        let q = i > 0 ? (K / dx) * ((t[i - 1] as number) - here) : 0
        q += i < n - 1 ? (K / dx) * ((t[i + 1] as number) - here) : Math.max(-300, kept)
        // The two other directions, as a fin: the same field decays over the half width.
        q += ((K * dx) / width ** 2) * 2.1 * ((t[n - 1] as number) - here)
        next[i] = Math.min(100, here + (q * dt) / (RHO_C * dx))
      }
      t.set(next)
    },
    core: () => t[0] as number,
    probe: () => t[Math.min(n - 1, Math.floor(off * n))] as number,
    air: () => oven,
  })
}

interface Process {
  readonly step: (time_s: number) => void
  readonly core: () => number
  readonly probe: () => number
  readonly air: (time_s: number) => number
}

/** Runs a process until its centre is well past the pull, reading the probe each minute. */
function march(made: Made, told: TrueCook['told'], name: TrueCook['name'], dt: number, process: Process): TrueCook {
  const { random, pull_c } = made
  const readings: { time_s: number; value_c: number }[] = []
  const air: { time_s: number; value_c: number }[] = []
  const core: { time_s: number; value_c: number }[] = []
  let pull_s = Number.NaN
  let nextRead = 60
  for (let time = 0; time < 16 * 3600; ) {
    process.step(time)
    time += dt
    if (time >= nextRead) {
      readings.push({ time_s: time, value_c: process.probe() + 0.15 * normal(random) })
      air.push({ time_s: time, value_c: process.air(time) + 0.8 * normal(random) })
      core.push({ time_s: time, value_c: process.core() })
      nextRead += 60
    }
    if (Number.isNaN(pull_s) && process.core() >= pull_c) pull_s = time
    if (process.core() > pull_c + 6) break
  }
  return { name, told, readings, air, pull_s, core }
}
