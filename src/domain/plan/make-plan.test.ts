import { describe, expect, it } from 'vitest'
import { type PlanDocumentInput, planDocument } from '../roast/roast-document'
import { checkPromiseAhead, makePlan } from './make-plan'

const NOW = Date.UTC(2026, 10, 24, 9) / 1000
const promise = (hours: number) => new Date((NOW + hours * 3600) * 1000).toISOString()
const rib = (change: Partial<PlanDocumentInput> = {}) =>
  planDocument.parse({
    roast: { cut: 'beef-rib-bone-in', mass_kg: 2.7, temper_min: 30, surface: 'dry_salted' },
    program: { school: 'steady', set_c: 120 },
    target: { doneness: 'medium-rare' },
    promise: promise(34),
    ...change,
  })
const planOf = (document: ReturnType<typeof rib>, members = 48) => {
  const made = makePlan(document, NOW, members)
  if (!made.ok) throw new Error(JSON.stringify(made.problems))
  return made.value.plan
}

describe('a plan for tonight', () => {
  it('has every task of the evening, in order, and ends on the promise', () => {
    const plan = planOf(rib())
    expect(plan.tasks.map(({ kind }) => kind)).toEqual([
      'salt',
      'set_out',
      'shape',
      'dress',
      'take_out',
      'heat_up',
      'put_in',
      'watch',
      'pull',
      'rest',
      'carve',
      'serve',
    ])
    for (let i = 1; i < plan.tasks.length; i++)
      expect(plan.tasks[i]?.at).toBeGreaterThanOrEqual(plan.tasks[i - 1]?.at ?? 0)
    expect(plan.tasks.at(-1)?.at).toBe(plan.promise)
    expect(plan.troubles).toEqual([])
  })

  it('the reading at the pull is below the doneness by the rise it names', () => {
    const plan = planOf(rib())
    const pull = plan.tasks.find(({ kind }) => kind === 'pull')
    const { pull_c, rise_k, serve_c } = pull?.because.numbers ?? {}
    expect((pull_c ?? 0) + (rise_k ?? 0)).toBeCloseTo(serve_c ?? 0, 0)
    expect(plan.peak_c).toBeCloseTo(55, 0)
  })

  it('a slow roast, one in ten, still has its least rest before the knife', () => {
    const plan = planOf(rib(), 128)
    const carve = plan.tasks.find(({ kind }) => kind === 'carve')
    const slowest = plan.putIn + plan.ensemble.pull_s.p90
    expect((carve?.at ?? 0) - slowest).toBeGreaterThan(20 * 60 - 120)
  })

  it('the reverse sear rests before its hot finish, whose preheat is on the plan', () => {
    const plan = planOf(rib({ program: { school: 'reverse-sear' } }))
    expect(plan.tasks.map(({ kind }) => kind)).toEqual([
      'salt',
      'set_out',
      'shape',
      'dress',
      'take_out',
      'heat_up',
      'put_in',
      'watch',
      'pull',
      'rest',
      'heat_up',
      'finish',
      'carve',
      'serve',
    ])
    expect(plan.slice.rim_m).toBeLessThan(planOf(rib({ program: { school: 'steady', set_c: 200 } })).slice.rim_m)
  })

  it('moving the promise moves every task by as much', () => {
    const early = planOf(rib({ promise: promise(40) }))
    const late = planOf(rib({ promise: promise(40.5) }))
    expect(late.tasks.map(({ at }, i) => at - (early.tasks[i]?.at ?? 0))).toEqual(early.tasks.map(() => 1800))
  })

  it('the worker’s plan and the server’s differ only in how many cooks stand behind the doubt', () => {
    const live = planOf(rib(), 64)
    const saved = planOf(rib(), 192)
    expect(Math.abs(live.putIn - saved.putIn)).toBeLessThan(8 * 60)
    expect(live.pull_c).toBeCloseTo(saved.pull_c, 0)
  })

  it('grey rim, pull and peak are of this roast: a share of the meat in each degree sums to one', () => {
    const { slice, yield: carved } = planOf(rib())
    expect(slice.shares.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9)
    expect(carved.lost).toBeGreaterThan(0.05)
    expect(carved.lost).toBeLessThan(0.3)
    expect(carved.carved_kg).toBeLessThan(carved.cooked_kg)
  })
})

describe('when it cannot be', () => {
  it('a start already past is said with the earliest honest promise and an oven that would still do', () => {
    const plan = planOf(rib({ promise: promise(2.6) }))
    const trouble = plan.troubles.find(({ code }) => code === 'start_passed')
    expect(trouble).toBeDefined()
    if (trouble?.code !== 'start_passed') return
    expect(trouble.earliestPromise).toBeGreaterThan(plan.promise)
    expect(trouble.hotter?.set_c).toBeGreaterThan(120)
    const later = planOf(rib({ promise: new Date(trouble.earliestPromise * 1000).toISOString() }))
    expect(later.troubles.some(({ code }) => code === 'start_passed')).toBe(false)
    const hotter = planOf(
      rib({
        promise: promise(2.6),
        roast: { cut: 'beef-rib-bone-in', mass_kg: 2.7, surface: 'dry_salted' },
        program: { school: 'steady', set_c: trouble.hotter?.set_c ?? 0 },
      }),
    )
    expect(hotter.putIn).toBeGreaterThan(NOW - 30 * 60)
  })

  it('what is in already is late or early by when it went in, not by the clock, and has a promise that fits', () => {
    const fits = planOf(rib())
    const since = (min: number) => new Date((fits.putIn + min * 60) * 1000).toISOString()
    const made = (document: ReturnType<typeof rib>) => {
      const found = makePlan(document, fits.putIn + 3600)
      if (!found.ok) throw new Error(JSON.stringify(found.problems))
      return found.value.plan.troubles
    }
    expect(made(rib({ in_since: since(0) }))).toEqual([])
    for (const min of [-50, 40]) {
      const [trouble] = made(rib({ in_since: since(min) }))
      if (trouble?.code !== 'in_otherwise') throw new Error(`${min}: ${trouble?.code}`)
      expect(Math.abs(trouble.later_s - min * 60)).toBeLessThan(60)
      expect(Math.abs(trouble.earliestPromise - fits.promise - min * 60)).toBeLessThanOrEqual(330)
      const kept = new Date(trouble.earliestPromise * 1000).toISOString()
      expect(made(rib({ in_since: since(min), promise: kept }))).toEqual([])
    }
    expect(made(rib()).map(({ code }) => code)).toEqual(['start_passed'])
  })

  it('a promise in the past is refused for a new plan', () => {
    const checked = checkPromiseAhead(rib({ promise: promise(-1) }), NOW)
    expect(checked).toMatchObject({ ok: false, problems: [{ code: 'promise_passed', path: ['promise'] }] })
  })

  it('a promise next century is taken for a slip', () => {
    expect(makePlan(rib({ promise: '2099-01-01T00:00:00Z' }), NOW, 8)).toMatchObject({
      ok: false,
      problems: [{ code: 'promise_too_far' }],
    })
  })

  it('a rolled leg served pink is a danger, an intact one a choice, a bird underdone never quiet', () => {
    const weight = (document: ReturnType<typeof rib>) => planOf(document, 16).cautions.map(({ code }) => code)
    const rolled = rib({
      roast: { cut: 'lamb-leg-boneless-rolled', mass_kg: 2 },
      program: { school: 'steady', set_c: 150 },
    })
    expect(weight(rolled)).toContain('not_intact')
    expect(weight(rib())).toContain('below_consumer_minimum')
    expect(weight(rib())).not.toContain('not_intact')
    const bird = rib({
      roast: { cut: 'chicken', mass_kg: 1.7 },
      program: { school: 'steady', set_c: 175 },
      target: { doneness: 'done' },
    })
    expect(weight(bird)).toContain('raw_poultry')
    expect(weight(bird)).not.toContain('below_consumer_minimum')
  })
})

describe('what was bought frozen', () => {
  const frozen = (cut: string, mass_kg: number, hours: number, change: Partial<PlanDocumentInput> = {}) =>
    rib({
      roast: { cut, mass_kg, temper_min: 30, surface: 'dry_salted' },
      program: { school: 'steady' },
      target: undefined,
      promise: promise(hours),
      frozen: true,
      ...change,
    })
  const thawOf = (document: ReturnType<typeof rib>) => {
    const plan = planOf(document, 16)
    const trouble = plan.troubles.find(({ code }) => code === 'thaw_passed')
    return { plan, trouble, task: plan.tasks.find(({ kind }) => kind === 'thaw') }
  }

  it('has its days in the fridge, and nothing is said where there is time', () => {
    const { task, trouble, plan } = thawOf(frozen('turkey', 6, 6 * 24))
    expect(trouble).toBeUndefined()
    expect(plan.putIn - (task?.at ?? 0)).toBeGreaterThan((6 / 2.2) * 86_400)
  })

  it('that should be out of the freezer by now is said, and each way out that is offered does it', () => {
    for (const [cut, mass_kg] of [
      ['turkey', 6],
      ['beef-rib-bone-in', 3],
      ['chicken', 1.6],
    ] as const)
      for (const [i, preparation] of (['none', 'dry_salt', 'wet_brine'] as const).entries())
        for (const hours of i === 1 ? [10, 40] : [16 + 10 * (i / 2)]) {
          const document = frozen(cut, mass_kg, hours, { preparation })
          const { trouble, task } = thawOf(document)
          const name = `${cut} ${preparation} ${hours} h`
          if (trouble?.code !== 'thaw_passed') {
            expect(task?.at, name).toBeGreaterThan(NOW - 1800)
            continue
          }
          expect(trouble.at, name).toBeLessThan(NOW)
          const later = thawOf({ ...document, promise: new Date(trouble.earliestPromise * 1000).toISOString() })
          expect(later.trouble, name).toBeUndefined()
          expect(later.task?.at, name).toBeGreaterThan(NOW - 1800)
          const out = thawOf({ ...document, thaws: 'out' })
          expect([out.trouble, out.task], name).toEqual([undefined, undefined])
          if (!trouble.water) continue
          const water = thawOf({ ...document, thaws: 'water' })
          expect(water.trouble, name).toBeUndefined()
          expect(water.task?.at, name).toBe(trouble.water.at)
          expect(water.task?.because.numbers.water_h, name).toBeCloseTo(2 * mass_kg * 0.5, 6)
        }
  })

  it('thawed in cold water it is salted and cooked the same day', () => {
    const { plan, task } = thawOf(frozen('beef-rib-bone-in', 3, 10, { thaws: 'water' }))
    const salt = plan.tasks.find(({ kind }) => kind === 'salt')
    expect(plan.putIn - (salt?.at ?? 0)).toBeLessThan(2 * 3600)
    expect((salt?.at ?? 0) - (task?.at ?? 0)).toBeLessThan(3.5 * 3600)
  })

  it('is tied, salted and dressed once it is thawed, and not before', () => {
    for (const cut of ['turkey', 'beef-rib-bone-in', 'pork-loin'])
      for (const preparation of ['none', 'dry_salt', 'wet_brine', 'marinade'] as const)
        for (const thaws of [undefined, 'water'] as const) {
          const { plan, task } = thawOf(frozen(cut, 2.5, 7 * 24, { preparation, thaws }))
          const takes_s = thaws === 'water' ? 2.5 * 3600 : (2.5 / 2.2) * 86_400
          for (const kind of ['shape', 'salt', 'brine', 'marinate', 'dress', 'take_out'] as const) {
            const after = plan.tasks.find((each) => each.kind === kind)
            if (after) expect(after.at - (task?.at ?? 0), `${cut} ${preparation} ${kind}`).toBeGreaterThan(takes_s - 60)
          }
        }
  })

  it('is promised later for the same hour of another day', () => {
    const { plan, trouble } = thawOf(frozen('turkey', 6, 33))
    if (trouble?.code !== 'thaw_passed') throw new Error('no trouble')
    expect((trouble.earliestPromise - plan.promise) % 86_400).toBe(0)
  })
})
