import { describe, expect, it } from 'vitest'
import { programOf, SCHOOLS } from '@/core/program/schools'
import { CUTS } from '@/core/reference/cuts'
import { parseWith } from '../problem/parse'
import type { Problem } from '../problem/problem'
import { cutOf, ovenOf, pieceOf, resolveRoast } from './resolve'
import { planDocument, roastPart, type StagePart, stagePart } from './roast-document'
import { resolveStage, stagesOf, withRoles } from './stages'

const roast = (change: object = {}) => roastPart.parse({ cut: 'beef-rib-bone-in', mass_kg: 2.7, ...change })
const free = () => {}

describe('one language for all programs', () => {
  it('every school on every cut it suits is written out and read back as the same stages', () => {
    for (const school of SCHOOLS)
      for (const cut of CUTS.filter((each) => school.suits(each))) {
        const program = programOf(school, school.usual(cut), cut, cut.mass_kg.usual)
        const written = stagesOf(program)
        for (const stage of written) expect(parseWith(stagePart, JSON.parse(JSON.stringify(stage))).ok).toBe(true)
        const read = written.map((stage) => resolveStage(stagePart.parse(JSON.parse(JSON.stringify(stage))), [], free))
        expect(JSON.parse(JSON.stringify(read))).toEqual(JSON.parse(JSON.stringify(program.stages)))
      }
  })

  it('a plan keeps own stages through a round trip and cooks them', () => {
    const document = planDocument.parse({
      roast: { cut: 'pork-loin', mass_kg: 2 },
      program: {
        name: 'Ours',
        stages: [
          { environment: { kind: 'oven', set_c: 230 }, until: { kind: 'time', minutes: 12 }, foil: undefined },
          { environment: { kind: 'oven', set_c: 140 }, until: { kind: 'pull' }, surface: 'fat' },
          { environment: { kind: 'cabinet', set_c: 60 }, preheated: false, until: { kind: 'clock', least_min: 25 } },
        ],
      },
      promise: '2026-12-25T19:00:00Z',
    })
    expect(planDocument.parse(JSON.parse(JSON.stringify(document)))).toEqual(document)
    const resolved = resolveRoast(document)
    expect(resolved.ok && resolved.value.program.stages[2]?.until).toEqual({ kind: 'clock', least_s: 1500 })
    expect(resolved.ok && resolved.value.program.stages[1]?.surface).toBe('fat')
  })

  it('a stage takes its role from its place', () => {
    const stage = (kind: 'oven' | 'counter' | 'cabinet', until: StagePart['until']): StagePart =>
      stagePart.parse({ environment: kind === 'counter' ? { kind } : { kind, set_c: 100 }, until })
    const time = { kind: 'time', minutes: 5 } as const
    const roles = (stages: StagePart[]) => withRoles(stages).map(({ role }) => role)
    expect(
      roles([
        stage('oven', time),
        stage('oven', { kind: 'pull' }),
        stage('counter', time),
        stage('oven', time),
        stage('cabinet', time),
      ]),
    ).toEqual(['cook', 'cook', 'rest', 'finish', 'rest'])
    expect(roles([stage('oven', time), stage('counter', time)])).toEqual(['cook', 'rest'])
  })

  it('an impossible stage is named by its place', () => {
    const problems: Problem[] = []
    const range = (path: readonly (string | number)[], quantity: never, value: number, low: number, high: number) => {
      if (!(value >= low && value <= high)) problems.push({ code: 'out_of_range', path, quantity, value, low, high })
    }
    resolveStage(
      stagePart.parse({ environment: { kind: 'oven', set_c: 900 }, until: { kind: 'time', minutes: -3 } }),
      ['program', 'stages', 4],
      range as never,
    )
    expect(problems.map((problem) => ('path' in problem ? problem.path.join('.') : ''))).toEqual([
      'program.stages.4.environment.set_c',
      'program.stages.4.until.minutes',
    ])
  })
})

describe('what a document makes of a cut, an oven and a piece', () => {
  it('handling that takes the outside in makes a piece not intact', () => {
    for (const handling of ['rolled', 'stuffed', 'tenderised', 'injected'])
      expect(cutOf(roast({ handling }))?.intact).toBe(false)
    expect(cutOf(roast())?.intact).toBe(true)
    expect(cutOf({ cut: 'no-such-cut' })).toBeUndefined()
  })

  it('house values lie over the catalogue’s', () => {
    const own = cutOf(roast({ house: { name: 'Ours', thickness_mm: 90, per_head_kg: 0.3 } }))
    expect(own).toMatchObject({ name: 'Ours', perHead_kg: 0.3, geometry: { thickness_m: 0.09 } })
  })

  it('an oven says only what differs from a domestic one', () => {
    expect(ovenOf({ kind: 'fan', offset_k: 5 })).toMatchObject({ kind: 'fan', offset_k: 5, swing_k: 0 })
    expect(
      ovenOf({ kind: 'still', offset_k: 0, decay_min: 30, preheat_k_per_min: 6, door_loss: 0.1, swing_k: 0 }),
    ).toMatchObject({ decay_s: 1800, preheat_k_per_s: 0.1, door_loss: 0.1, swing_k: 0 })
  })

  it('a dried or buttered surface is less wet than a fresh one', () => {
    const wet = (surface: string) => {
      const part = roast({ surface })
      return pieceOf(cutOf(part) as never, part).wetness ?? 1
    }
    expect(wet('dry_salted')).toBeLessThan(wet('plain'))
    expect(wet('buttered')).toBeLessThan(wet('plain'))
  })

  it('stuffing belongs in a bird, a thin end does not', () => {
    const paths = (change: object) => {
      const outcome = resolveRoast({
        roast: roast(change),
        oven: { kind: 'still', offset_k: 0 },
        program: { school: 'steady' },
      })
      return outcome.ok ? [] : outcome.problems.map((problem) => ('path' in problem ? problem.path.join('.') : ''))
    }
    expect(paths({ stuffed: true })).toEqual(['roast.stuffed'])
    expect(paths({ cut: 'turkey', mass_kg: 6, thin_end: 0.5 })).toEqual(['roast.thin_end'])
    expect(paths({ cut: 'turkey', mass_kg: 6, stuffed: true })).toEqual([])
    expect(paths({ icy_core_c: 9 })).toEqual(['roast.icy_core_c'])
  })
})
