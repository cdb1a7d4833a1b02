'use client'
import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useEffect, useState } from 'react'
import { colourOf } from '@/core/heat/colour'
import { findSchool, SCHOOLS } from '@/core/program/schools'
import { weightOf } from '@/core/safety/weight'
import type { Plan } from '@/core/schedule/plan'
import type { TaskKind } from '@/core/schedule/task'
import { MEMBERS } from '@/domain/plan/make-plan'
import { cutOf, withProgram } from '@/domain/roast/resolve'
import type { PlanDocument } from '@/domain/roast/roast-document'
import { clock, duration, length, temperature, type Units } from '@/words/units'
import { COLOUR_NAMES } from '@/words/words'
import type { PlanWorker } from '@/workers/browser/protocol'
import { GraveCautions } from '../data/grave-cautions'
import { HeatRibbon } from '../ribbon/heat-ribbon'
import { saidOf, send } from '../shell/client'
import { openThread } from '../shell/thread'

interface PageProps {
  readonly kitchen: string
  readonly planId: string
  readonly version: number
  readonly document: PlanDocument
  readonly units: Units
  readonly now_s: number
}

/** The numbers a cook weighs one school against another by. */
interface Weighed {
  readonly plan: Plan
  readonly doubt_s: number
  readonly heat_s: number
  readonly attention: number
  readonly graver: number
}
const HANDS: ReadonlySet<TaskKind> = new Set(['heat_up', 'put_in', 'tend', 'watch', 'pull', 'change', 'finish', 'rest'])

function weigh(plan: Plan): Weighed {
  const heated = plan.stages.filter(({ stage }) => ['oven', 'fire', 'bath', 'pan'].includes(stage.environment.kind))
  return {
    plan,
    doubt_s: plan.ensemble.pull_s.p90 - plan.ensemble.pull_s.p10,
    heat_s: heated.reduce((sum, { from, to }) => sum + to - from, 0),
    attention: plan.tasks.filter(({ kind }) => HANDS.has(kind)).length,
    graver: plan.cautions.filter((caution) => ['danger', 'choice'].includes(weightOf(caution))).length,
  }
}

/** The same roast by three schools at once; the one chosen becomes the plan. */
export function SchoolsPage({ kitchen, planId, version, document, units, now_s }: PageProps) {
  const router = useRouter()
  const cut = cutOf(document.roast)
  const suited = SCHOOLS.filter((school) => cut && school.suits(cut))
  const own = 'school' in document.program ? document.program.school : undefined
  const [chosen, setChosen] = useState<readonly string[]>(() => {
    const wanted = [
      ...(own ? [own] : []),
      ...suited.toSorted((a, b) => (a.compared ?? Infinity) - (b.compared ?? Infinity) || 0).map(({ id }) => id),
    ]
    return [...new Set(wanted)].filter((id) => suited.some((school) => school.id === id)).slice(0, 3)
  })
  const [answers, setAnswers] = useState<Readonly<Record<string, Weighed | 'problem'>>>({})
  const [failed, setFailed] = useState<string | undefined>()

  useEffect(() => {
    const missing = chosen.filter((id) => !(id in answers))
    if (missing.length === 0) return
    const thread = openThread<PlanWorker>(
      () =>
        new Worker(new URL('../../workers/browser/plan.worker.ts', import.meta.url), {
          type: 'module',
          name: 'schools',
        }),
    )
    let live = true
    void (async () => {
      for (const id of missing) {
        const program = id === own && 'school' in document.program ? document.program : { school: id }
        const made = await thread
          .ask((worker) => worker.plan(withProgram(document, program), now_s))
          .catch(() => undefined)
        if (!live) return
        setAnswers((last) => ({ ...last, [id]: made?.ok ? weigh(made.value) : 'problem' }))
      }
    })()
    return () => {
      live = false
      thread.end()
    }
  }, [chosen, answers, document, now_s, own])

  const adopt = async (id: string) => {
    const program = id === own && 'school' in document.program ? document.program : { school: id }
    const saved = await send(`/api/k/${kitchen}/plans/${planId}`, 'PUT', {
      base_version: version,
      document: withProgram(document, program),
    })
    if (saved.ok) return router.push(`/k/${kitchen}/plans/${planId}`)
    setFailed(
      saved.status === 409
        ? 'Someone changed this plan meanwhile. Go back to it and choose again.'
        : `Not taken over. ${saidOf(saved, units)}`,
    )
  }
  const rows = chosen.map((id) => answers[id]).filter((row): row is Weighed => row !== undefined && row !== 'problem')
  const best = (pick: (row: Weighed) => number) => Math.min(...rows.map(pick))

  return (
    <div className="mx-auto max-w-[84rem] space-y-5 px-4 py-6 sm:px-6" data-testid="schools">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <div>
          <p className="text-base text-soft">{document.title || cut?.name}</p>
          <h1 className="font-display text-4xl font-bold tracking-tight">Schools side by side</h1>
        </div>
        <Link
          href={`/k/${kitchen}/plans/${planId}`}
          className="inline-flex min-h-11 items-center rounded-full border-2 border-line px-5 font-semibold hover:border-copper"
        >
          Back to the plan
        </Link>
      </div>
      {failed && (
        <p role="alert" className="rounded-lg border-l-4 border-wattle bg-wattle-ground px-4 py-2">
          {failed}
        </p>
      )}
      <div className="grid gap-5 lg:grid-cols-3">
        {chosen.map((id, column) => {
          const answer = answers[id]
          const school = findSchool(id)
          return (
            <section
              // biome-ignore lint/suspicious/noArrayIndexKey: a column keeps its place while its school changes
              key={column}
              className="min-w-0 rounded-2xl border border-line bg-sheet p-4"
              data-school={id}
              data-ready={answer !== undefined || undefined}
            >
              <select
                aria-label={`School ${column + 1}`}
                className="said w-full font-display text-2xl"
                value={id}
                onChange={(event) => setChosen((last) => last.with(column, event.target.value))}
              >
                {suited.map((each) => (
                  <option key={each.id} value={each.id} disabled={chosen.includes(each.id) && each.id !== id}>
                    {each.name}
                  </option>
                ))}
              </select>
              <p className="mt-2 min-h-14 text-base text-soft">{school?.why}</p>
              {answer === undefined && <p className="py-10 text-center text-soft">Cooking it {MEMBERS} times…</p>}
              {answer === 'problem' && <p className="py-10 text-center">It does not go with this roast.</p>}
              {answer !== undefined && answer !== 'problem' && (
                <>
                  <div className="mt-3">
                    <HeatRibbon plan={answer.plan} cutId={document.roast.cut} units={units} slim />
                  </div>
                  <dl className="mt-3 divide-y divide-line">
                    <Row
                      label="Starts"
                      value={clock(answer.plan.begin, units)}
                      note={`in at ${clock(answer.plan.putIn, units)}`}
                      best={answer.plan.begin === -best((row) => -row.plan.begin)}
                    />
                    <Row
                      label="Doubt"
                      value={`± ${Math.round(answer.doubt_s / 120)} min`}
                      best={answer.doubt_s === best((row) => row.doubt_s)}
                    />
                    <Row
                      label="Peak"
                      value={temperature(answer.plan.peak_c, units)}
                      note={`pull ${temperature(answer.plan.pull_c, units)}`}
                    />
                    <Row
                      label="Grey rim"
                      value={length(answer.plan.slice.rim_m, units)}
                      best={answer.plan.slice.rim_m === best((row) => row.plan.slice.rim_m)}
                    />
                    <Row
                      label="Crust"
                      value={COLOUR_NAMES[colourOf(answer.plan.browning_s)]}
                      best={answer.plan.browning_s === -best((row) => -row.plan.browning_s)}
                    />
                    <Row
                      label="To the board"
                      value={`${Math.round((1 - answer.plan.yield.lost) * 100)} %`}
                      best={answer.plan.yield.lost === best((row) => row.plan.yield.lost)}
                    />
                    <Row
                      label="Heat is on"
                      value={duration(answer.heat_s)}
                      best={answer.heat_s === best((row) => row.heat_s)}
                    />
                    <Row
                      label="Calls on you"
                      value={`${answer.attention}`}
                      best={answer.attention === best((row) => row.attention)}
                    />
                    <Row
                      label="Cautions"
                      value={answer.graver === 0 ? 'none' : `${answer.graver}`}
                      best={answer.graver === best((row) => row.graver)}
                    />
                  </dl>
                  <ul className="mt-3 min-h-24 space-y-1 text-base leading-snug">
                    <GraveCautions cautions={answer.plan.cautions} units={units} />
                  </ul>
                  <button
                    type="button"
                    className="mt-4 min-h-12 w-full rounded-full bg-action px-5 font-semibold text-white"
                    onClick={() => void adopt(id)}
                  >
                    {id === own ? 'Stay with this' : `Cook it by ${school?.name.toLowerCase()}`}
                  </button>
                </>
              )}
            </section>
          )
        })}
      </div>
      <p className="text-base text-soft">
        ✓ marks the best of the three. All from the same model, the same piece and {MEMBERS} simulated cooks each; grey
        rim, crust and weight are of the middle one.
      </p>
    </div>
  )
}

function Row({
  label,
  value,
  note,
  best = false,
}: {
  readonly label: string
  readonly value: string
  readonly note?: string
  readonly best?: boolean
}) {
  return (
    <div className="flex items-baseline gap-3 py-1.5">
      <dt className="w-28 text-base text-soft">{label}</dt>
      <dd className="flex-1 text-lg font-semibold">
        {value} {note && <span className="text-base font-normal text-soft">{note}</span>}
      </dd>
      {best && (
        <span className="font-bold text-moss" title="best of the three">
          ✓<span className="sr-only"> best of the three</span>
        </span>
      )}
    </div>
  )
}
