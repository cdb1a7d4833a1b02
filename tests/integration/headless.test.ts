import { spawnSync } from 'node:child_process'
import { resolve } from 'node:path'
import { describe, expect, it } from 'vitest'

const root = resolve(import.meta.dirname, '../..')
const pheasant = (words: readonly string[], input = '') => {
  const run = spawnSync(process.execPath, ['bin/pheasant.mjs', ...words], { cwd: root, input, encoding: 'utf8' })
  return { code: run.status, out: run.stdout, error: run.stderr }
}

describe('the headless core', () => {
  it('simulates from JSON to JSON, twice the same', () => {
    const asked = JSON.stringify({
      roast: { cut: 'beef-rib-bone-in', mass_kg: 2.7 },
      program: { school: 'reverse-sear' },
      members: 16,
    })
    const first = pheasant(['simulate'], asked)
    expect(first.code).toBe(0)
    const answer = JSON.parse(first.out)
    expect(answer).toMatchObject({ version: 1, outcome: 'reached' })
    expect(answer.pull_min.p10).toBeLessThan(answer.pull_min.p90)
    expect(pheasant(['simulate'], asked).out).toBe(first.out)
  })

  it('answers a bad field on standard error with its path and exit code 2', () => {
    const run = pheasant(['simulate'], '{"roast":{"cut":"beef-rib-bone-in","mass_kg":-3}}')
    expect(run.code).toBe(2)
    expect(run.out).toBe('')
    expect(JSON.parse(run.error).errors[0]).toMatchObject({
      code: 'out_of_range',
      path: ['roast', 'mass_kg'],
      value: -3,
    })
  })

  it('answers malformed JSON the same way', () => {
    const run = pheasant(['simulate'], '{"roast":')
    expect(run.code).toBe(2)
    expect(JSON.parse(run.error).errors[0].code).toBe('malformed_json')
  })

  it('prints JSON Schema with units in the names', () => {
    const schema = JSON.parse(pheasant(['schema', 'simulate']).out)
    expect(schema.properties.roast.properties.mass_kg.type).toBe('number')
    expect(pheasant(['schema', 'nothing']).code).toBe(2)
  })

  it('says what is next in a cook at a minute: steps with what to enter, arrivals, ways out with the one it would take', () => {
    const plan = {
      roast: { cut: 'beef-rib-bone-in', mass_kg: 2.7, temper_min: 30, surface: 'dry_salted' },
      program: { school: 'steady', set_c: 150 },
      promise: '2026-11-25T19:00:00Z',
    }
    const begun = '2026-11-25T14:00:00Z'
    const ask = (more: object) => JSON.stringify({ plan, begun, members: 64, ...more })
    const lines = pheasant(
      ['next', '--lines'],
      [
        ask({ now: '2026-11-25T14:00:00Z' }),
        ask({
          now: '2026-11-25T18:05:00Z',
          entries: [{ kind: 'in', at: '2026-11-25T17:25:00Z' }],
          readings: [10, 20, 30, 39].map((minute, i) => ({
            at: new Date(Date.parse('2026-11-25T17:25:00Z') + minute * 60_000).toISOString(),
            c: 6 + 1.5 * i,
          })),
        }),
        '{"now": 3}',
        ask({ now: '2026-11-25T14:00:00Z', entries: [{ kind: 'in', at: begun, item: 'nobody' }] }),
      ].join('\n'),
    )
    expect(lines.code).toBe(0)
    const [first, late, bad, unknown] = lines.out
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line))
    const actions = first.actions.map(({ kind }: { kind: string }) => kind)
    expect(actions).toEqual(expect.arrayContaining(['take_out', 'heat_up', 'put_in', 'pull', 'carve', 'serve']))
    expect(actions.at(-1)).toBe('serve')
    expect(first.actions.find(({ kind }: { kind: string }) => kind === 'put_in')).toMatchObject({
      says: 'Into the oven',
      enter: [{ kind: 'in', item: 'roast' }],
    })
    expect(first.roasts[0]).toMatchObject({ state: 'waiting', ways: [], late_min: null })
    // Two hours too late in: it says so, and marks one of several ways out.
    const [roast] = late.roasts
    expect(roast.state).toBe('in')
    expect(roast.late_min).toBeGreaterThan(20)
    expect(roast.ways.filter(({ best }: { best: boolean }) => best)).toHaveLength(1)
    expect(roast.ways.map(({ code }: { code: string }) => code)).toContain('leave_it')
    expect(Date.parse(roast.pull.p10)).toBeGreaterThanOrEqual(Date.parse('2026-11-25T18:05:00Z'))
    const pull = late.actions.find(({ kind }: { kind: string }) => kind === 'pull')
    expect(Math.abs(Date.parse(pull.at) - Date.parse(roast.pull.p50))).toBeLessThan(90_000)
    expect(bad.errors.length).toBeGreaterThan(0)
    expect(unknown.errors[0].code).toBe('not_found')
  })

  it('reads lines, one answer each: the document, what each word means, what is asked', () => {
    const run = pheasant(
      ['read', '--now', '2026-11-24T09:00:00Z', '--zone', 'Europe/London'],
      'beef rib 2.7 kg flurbed, eat 19:00\n\nroast lamb and roast potatoes for 6\n\u0000\n',
    )
    expect(run.code).toBe(0)
    const [plan, meal, nothing] = run.out
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line))
    expect(plan).toMatchObject({ kind: 'plan', document: { promise: '2026-11-24T19:00:00.000Z' } })
    expect(plan.words[0]).toMatchObject({ text: 'beef rib', means: 'Beef rib, bone in' })
    expect(plan.asks[0]).toMatchObject({ code: 'what_is', words: 'flurbed' })
    expect(meal).toMatchObject({ kind: 'meal', document: { guests: 6 } })
    expect(nothing).toMatchObject({ kind: null, document: null })
    // What was read is simulated as it stands, and is no meal.
    const simulated = pheasant(['simulate'], JSON.stringify(plan.document))
    expect(JSON.parse(simulated.out)).toMatchObject({ outcome: 'reached' })
    const planned = pheasant(['plan'], JSON.stringify(plan.document))
    expect(planned.code).toBe(2)
    expect(planned.error).toContain('this is a plan of one roast')
    expect(pheasant(['read', '--zone', 'Nowhere/Else']).code).toBe(2)
  })

  it('plans a whole meal, names a clash and the changes that would help', () => {
    const oven = { id: 'oven', name: 'Oven', kind: 'still', places: 2 }
    const meal = {
      kitchen: { ovens: [oven], cooks: ['A', 'B'] },
      servings: [{ id: 's', title: 'Supper', at: '2026-12-25T19:00:00Z' }],
      roasts: [
        {
          id: 'rib',
          title: 'Rib',
          serving: 's',
          roast: { cut: 'beef-rib-bone-in', mass_kg: 2.7 },
          program: { school: 'steady', set_c: 120 },
        },
      ],
      sides: [
        {
          id: 'potatoes',
          title: 'Potatoes',
          serving: 's',
          set_c: 200,
          low_c: 180,
          high_c: 220,
          minutes: 45,
          hold_min: 15,
        },
      ],
    }
    const planned = JSON.parse(pheasant(['plan'], JSON.stringify(meal)).out)
    expect(planned).toMatchObject({ version: 1, proved: true, clashes: [] })
    expect(planned.items.map(({ id }: { id: string }) => id)).toEqual(['rib', 'potatoes'])
    expect(planned.tasks.at(-1)).toMatchObject({ kind: 'serve', at: '2026-12-25T19:00:00.000Z' })
    const second = {
      ...meal.roasts[0],
      id: 'bird',
      roast: { cut: 'turkey', mass_kg: 5 },
      program: { school: 'steady', set_c: 165 },
    }
    const clashing = JSON.parse(pheasant(['plan'], JSON.stringify({ ...meal, roasts: [...meal.roasts, second] })).out)
    expect(clashing.clashes.length).toBeGreaterThan(0)
    expect(clashing.changes.length).toBeGreaterThan(0)
    const wrong = pheasant(['plan'], JSON.stringify({ ...meal, servings: [] }))
    expect(wrong.code).toBe(2)
    expect(JSON.parse(wrong.error).errors[0].path).toEqual(['servings'])
  })
})
