import { describe, expect, it } from 'vitest'
import { seededRandom } from '@/core/estimate/random'
import { planFromLine } from '../plan/from-line'
import { readLine } from './reading'

/** Two stretches of heat, covered first and bare then, in the many ways that is said: each keeps its own cover. */

const NOW = Date.UTC(2026, 10, 24, 9) / 1000
const LIMIT_MS = 60

const COVERED: readonly ((span: string, heat: string) => string)[] = [
  (span, heat) => `${heat} covered for ${span}`,
  (span, heat) => `${span} at ${heat} under foil`,
  (span, heat) => `${span} at ${heat}, covered`,
  (span, heat) => `${span} at ${heat}, foil on`,
  (span, heat) => `covered at ${heat} for ${span}`,
  (span, heat) => `foil over for the first ${span} at ${heat}`,
  (span, heat) => `${heat} wrapped tightly ${span}`,
  (span, heat) => `${heat} for ${span} covered`,
  (span, heat) => `in foil ${span} at ${heat}`,
]
const BARE: readonly ((span: string, heat: string) => string)[] = [
  (span, heat) => `then uncovered at ${heat} for ${span}`,
  (span, heat) => `last ${span} uncovered at ${heat}`,
  (span, heat) => `uncovered last ${span} at ${heat}`,
  (span, heat) => `then foil off at ${heat} for ${span}`,
  (span, heat) => `then take foil off, and ${span} at ${heat}`,
  (span, heat) => `uncover and ${heat} for ${span}`,
]

describe('what was covered and what was bare', () => {
  it.each([103, 104])('stay so, however it is said (seed %i)', (seed) => {
    const random = seededRandom(seed)
    const pick = <T>(of: readonly T[]): T => of[Math.floor(random() * of.length)] as T
    const from = performance.now()
    const faults: string[] = []
    const tries = 120
    for (let i = 0; i < tries; i++) {
      const [cut, kg] = pick([
        ['lamb shoulder', '2.2'],
        ['pork shoulder', '3'],
        ['turkey', '5.5'],
        ['goose', '4.5'],
        ['brisket', '3'],
      ] as const)
      const [hours, heat] = [pick(['3 hours', '2.5 hours', '4h', '150 minutes']), pick(['140', '150', '160', '170'])]
      const [minutes, hot] = [pick(['20 minutes', '30 min', '45 mins']), pick(['200', '220', '230'])]
      const line = [`${cut} ${kg} kg`, pick(COVERED)(hours, heat), pick(BARE)(minutes, hot), 'eat 19:30'].join(', ')
      const read = readLine(line, { now_s: NOW, timeZone: 'Europe/London' })
      if (!read.ok) throw new Error(line)
      const { program } = planFromLine(read.value, NOW)
      const said = 'stages' in program ? program.stages.filter(({ environment }) => environment.kind === 'oven') : []
      const found = said.map(({ environment, cover, until }) =>
        ['set_c' in environment ? environment.set_c : '', cover, 'minutes' in until ? until.minutes : until.kind].join(
          ' ',
        ),
      )
      const long = hours === '2.5 hours' || hours === '150 minutes' ? 150 : Number.parseInt(hours, 10) * 60
      const wanted = [`${heat} foil ${long}`, `${hot} bare ${Number.parseInt(minutes, 10)}`]
      if (JSON.stringify(found) !== JSON.stringify(wanted)) faults.push(`${line}: ${found.join(', ')}`)
    }
    expect(faults).toEqual([])
    expect((performance.now() - from) / tries).toBeLessThan(LIMIT_MS)
  })
})
