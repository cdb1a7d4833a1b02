import { describe, expect, it } from 'vitest'
import { parseJson, parseWith } from '../problem/parse'
import type { Problem } from '../problem/problem'
import { cutAsCooked, resolveRoast } from './resolve'
import { simulateDocument } from './roast-document'
import { simulate } from './simulate'

const problemsOf = (value: unknown): readonly Problem[] => {
  const document = parseWith(simulateDocument, value)
  if (!document.ok) return document.problems
  const resolved = resolveRoast(document.value)
  return resolved.ok ? [] : resolved.problems
}
const roast = (change: object = {}, rest: object = {}) => ({
  roast: { cut: 'beef-rib-bone-in', mass_kg: 2.7, ...change },
  ...rest,
})

const ask = (value: unknown) => {
  const document = parseWith(simulateDocument, value)
  if (!document.ok) throw new Error('document')
  return simulate(document.value)
}

describe('bad input is named at its field', () => {
  it('a good roast has no problems', () => {
    expect(problemsOf(roast())).toEqual([])
  })

  const cases: readonly [string, unknown, Partial<Problem>][] = [
    ['a negative weight', roast({ mass_kg: -2 }), { code: 'out_of_range', path: ['roast', 'mass_kg'], value: -2 }],
    ['an absurd weight', roast({ mass_kg: 90 }), { code: 'out_of_range', path: ['roast', 'mass_kg'] }],
    [
      'an oven out of range',
      roast({}, { program: { school: 'steady', set_c: 900 } }),
      { code: 'out_of_range', path: ['program', 'set_c'], high: 300 },
    ],
    [
      'an oven below the doneness',
      roast({}, { program: { school: 'steady', set_c: 61 }, target: { serve_c: 60 } }),
      { code: 'heat_below_target', path: ['program', 'set_c'] },
    ],
    [
      'a thickness that contradicts the weight',
      roast({ thickness_mm: 300 }),
      { code: 'thickness_contradicts_mass', path: ['roast', 'thickness_mm'] },
    ],
    [
      'an unknown cut',
      roast({ cut: 'lamb-shouldr' }),
      { code: 'unknown_cut', nearest: expect.arrayContaining(['lamb-shoulder']) as never },
    ],
    [
      'an unknown school',
      roast({}, { program: { school: 'revers-sear' } }),
      { code: 'unknown_school', nearest: expect.arrayContaining(['reverse-sear']) as never },
    ],
    [
      'a school that does not suit',
      roast({}, { program: { school: 'bird-turned' } }),
      { code: 'school_does_not_suit' },
    ],
    [
      'an unknown doneness',
      roast({}, { target: { doneness: 'purple' } }),
      { code: 'unknown_doneness', path: ['target', 'doneness'] },
    ],
    [
      'a start hotter than the end',
      roast({ start_c: 30 }, { target: { serve_c: 40 }, program: { school: 'steady', set_c: 30 } }),
      { code: 'out_of_range', path: ['program', 'set_c'] },
    ],
    ['a word where a number belongs', roast({ mass_kg: 'heavy' }), { code: 'malformed', path: ['roast', 'mass_kg'] }],
    ['a field that does not exist', roast({ weight: 2 }), { code: 'malformed', path: ['roast'] }],
    [
      'four hours on the bench',
      roast({ temper_min: 240 }),
      { code: 'out_of_range', path: ['roast', 'temper_min'], high: 120 },
    ],
  ]
  for (const [name, value, expected] of cases) {
    it(name, () => {
      expect(problemsOf(value)).toEqual(expect.arrayContaining([expect.objectContaining(expected)]))
    })
  }

  it('all that is wrong comes back at once', () => {
    expect(
      problemsOf(roast({ mass_kg: -1, start_c: 80 }, { program: { school: 'steady', set_c: 900 } })).length,
    ).toBeGreaterThanOrEqual(3)
  })

  it('JSON that is none is a problem at the root', () => {
    expect(parseJson('{"roast": ')).toMatchObject({ ok: false, problems: [{ code: 'malformed_json', path: [] }] })
  })
})

describe('simulate', () => {
  it('a stage program written out gives what the school of the same stages gives', () => {
    const bySchool = ask(roast({}, { program: { school: 'steady', set_c: 160, rest_min: 30 }, members: 8 }))
    const byStages = ask(
      roast(
        {},
        {
          members: 8,
          program: {
            stages: [
              { environment: { kind: 'oven', set_c: 160 }, until: { kind: 'pull' } },
              {
                role: 'rest',
                environment: { kind: 'counter' },
                cover: 'tent',
                preheated: false,
                until: { kind: 'time', minutes: 30 },
              },
            ],
          },
        },
      ),
    )
    expect(byStages).toEqual(bySchool)
  })

  it('a fixed pull reading is pulled at that reading', () => {
    const answer = ask(roast({}, { target: { pull_c: 48 }, members: 8 }))
    expect(answer).toMatchObject({ ok: true, value: { pull_c: 48 } })
  })

  it('a bird answers for breast and thigh', () => {
    const answer = ask({ roast: { cut: 'turkey', mass_kg: 6 }, members: 8 })
    expect(answer.ok && answer.value.points).toEqual(['breast', 'thigh'])
    expect(answer.ok && answer.value.curve.at(-1)?.second_c).toBeGreaterThan(70)
  })

  it('every number of the answer is a number or null, never lost in JSON', () => {
    const answer = ask(roast({}, { program: { school: 'oven-off' }, members: 8 }))
    expect(answer.ok).toBe(true)
    if (answer.ok) expect(JSON.parse(JSON.stringify(answer.value))).toEqual(answer.value)
  })
})

describe('what is cooked until it is tender', () => {
  it('is judged as tender meat, and poultry as poultry whatever its shape', () => {
    const stages = [{ environment: { kind: 'oven', set_c: 150 }, until: { kind: 'tender', degree: 'falls_apart' } }]
    const judgedAs = (cut: string) => {
      const { roast, program } = simulateDocument.parse({ roast: { cut, mass_kg: 2 }, program: { stages } })
      return cutAsCooked({ roast, program })?.doneness
    }
    expect(judgedAs('lamb-leg-bone-in')).toBe('tender')
    for (const cut of ['turkey', 'turkey-breast-bone-in', 'turkey-breast-boneless'])
      expect(judgedAs(cut)).toBe('poultry')
  })

  it('was cooked before, if it was, and says so', () => {
    const stages = [{ environment: { kind: 'oven', set_c: 150 }, until: { kind: 'tender', degree: 'falls_apart' } }]
    const answer = ask({ roast: { cut: 'cooked-ham', mass_kg: 4 }, program: { stages }, members: 8 })
    expect(answer.ok && answer.value.cautions.map(({ code }) => code)).toContain('cooked_before')
  })
})
