import { describe, expect, it } from 'vitest'
import { DOMESTIC_OVEN } from '../heat/oven'
import { HEAT_PARAMETERS } from '../heat/parameters'
import { usualThickness } from '../heat/piece'
import { findSchool, programOf } from '../program/schools'
import { findCut } from '../reference/cuts'
import type { StageChange } from '../simulate/stepper'
import { type EstimateSetup, foresee, nowMarked, pastsOf } from './estimate'
import { assimilate } from './posterior'
import { seededRandom } from './random'
import type { Reading } from './reading'

/** A cook in progress drawn from a seed: another cut, school, oven, log and minute each time. */
function drawn(seed: number): EstimateSetup {
  const random = seededRandom(seed * 7919 + 1)
  const pick = <T>(of: readonly T[]): T => of[Math.floor(random() * of.length)] as T
  const [id, school] = pick([
    ['beef-rib-bone-in', 'hot-start'],
    ['beef-rib-bone-in', 'reverse-sear'],
    ['pork-loin', 'pan-first'],
    ['turkey', 'steady'],
    ['chicken', 'steady'],
  ] as const)
  const cut = findCut(id)
  const by = findSchool(school)
  if (!cut || !by) throw new Error(id)
  const mass_kg = cut.mass_kg.usual * (0.8 + 0.4 * random())
  const piece = { cut, mass_kg, stuffed: id === 'turkey' && random() < 0.5 }
  const bodies = id === 'turkey' ? (piece.stuffed ? 3 : 2) : id === 'chicken' ? 2 : 1
  const now_s = 60 * Math.round(15 + 75 * random())
  const logged: StageChange[] = [
    { time_s: now_s * random(), door: true },
    { time_s: now_s * random(), set_c: 140 + 60 * random() },
    ...(random() < 0.4 ? [{ time_s: now_s * random(), cover: 'foil' as const }] : []),
    ...(random() < 0.3
      ? [
          { time_s: 0.5 * now_s, away: true },
          { time_s: 0.6 * now_s, away: false, door: true },
        ]
      : []),
  ]
  const readings: Reading[] = Array.from({ length: Math.floor(now_s / 180) }, (_, i) => ({
    time_s: 180 * (i + 1),
    value_c: 5 + (0.4 + 0.2 * random()) * 3 * i,
    body: bodies > 1 ? i % 2 : 0,
  }))
  return {
    piece,
    thickness_m: usualThickness(cut, mass_kg, HEAT_PARAMETERS),
    oven: { ...DOMESTIC_OVEN, kind: pick(['still', 'fan']) },
    start_c: random() < 0.2 ? -1.5 : 5,
    program: programOf(by, by.usual(cut), cut, mass_kg),
    pull_c: Array.from({ length: bodies }, () => 58),
    readings,
    changes: logged.toSorted((a, b) => a.time_s - b.time_s),
    air:
      random() < 0.3
        ? Array.from({ length: Math.floor(now_s / 120) }, (_, i) => ({ time_s: 120 * i, value_c: 150 + 10 * random() }))
        : undefined,
    now_s,
    measured: false,
    parameters: HEAT_PARAMETERS,
    least: { least_c: 62.8, by: 'hold_table' },
    knife: { due_s: now_s + 3600, least_s: 600 },
    members: 12,
    seed,
  }
}

describe('ways of going on that begin at now', () => {
  it('end as the same cooked from the put-in does, whatever is cooked and whatever is done', {
    timeout: 60_000,
  }, () => {
    let gone = 0
    for (let seed = 1; seed <= 24; seed++) {
      const asked = drawn(seed)
      const posterior = assimilate(asked)
      const setup = { ...asked, changes: nowMarked(asked) }
      const pasts = pastsOf(setup, posterior, 4)
      gone += pasts.filter(Boolean).length
      const ways: Partial<EstimateSetup>[] = [
        {},
        { changes: [...setup.changes, { time_s: setup.now_s + 1, set_c: 220 }] },
        { pull_c: setup.pull_c.map(() => 65) },
        { pull_c: setup.pull_c.map(() => 10) },
        { program: { ...setup.program, stages: setup.program.stages.slice(0, -1) } },
      ]
      const anchor = { share: 0.02, peak_k: 0.4, climbed: [0, 0.3, 0.6, 0.8, 1] }
      for (const way of ways) {
        const whole = foresee({ ...setup, ...way }, posterior, 4, { anchor })
        const from = foresee({ ...setup, ...way }, posterior, 4, { anchor, pasts })
        expect(from, `seed ${seed}, ${JSON.stringify(way).slice(0, 80)}`).toEqual(whole)
      }
    }
    // Most were still in, and were gone on with.
    expect(gone).toBeGreaterThan(60)
  })

  it('a mark at now changes nothing, and comes before what is still to come', () => {
    const changes = [
      { time_s: 60, door: true },
      { time_s: 900, set_c: 120 },
    ]
    expect(nowMarked({ changes, now_s: 600 })).toEqual([
      { time_s: 60, door: true },
      { time_s: 600 },
      { time_s: 900, set_c: 120 },
    ])
    expect(nowMarked({ now_s: 600 })).toEqual([{ time_s: 600 }])
  })
})
