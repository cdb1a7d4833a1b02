'use client'
import Link from 'next/link'
import { useCallback, useState } from 'react'
import { colourOf } from '@/core/heat/colour'
import { platesOf } from '@/core/portions/portions'
import { findSchool } from '@/core/program/schools'
import { COOLING, SERVING_WARMTH_C } from '@/core/reference/standards'
import { tendernessOf } from '@/core/reference/tenderness'
import { WEIGHTS, type Weight } from '@/core/safety/weight'
import type { Plan } from '@/core/schedule/plan'
import { type LivingCook, livingTasks } from '@/domain/cook/living-plan'
import type { HouseItem } from '@/domain/house/house-item'
import { doWithout } from '@/domain/learn/learned'
import { cutAsCooked, stagesOfDocument, withProgram } from '@/domain/roast/resolve'
import type { PlanDocument } from '@/domain/roast/roast-document'
import { withRoles } from '@/domain/roast/stages'
import { STORED } from '@/domain/stored/stored'
import { cautionWords } from '@/words/cautions'
import { chanceWords, pullSafetyWords, shownWords } from '@/words/safety'
import { standardsSentence } from '@/words/standards'
import { pullLead } from '@/words/tasks'
import { day, duration, length, mass, rise, temperature, type Units } from '@/words/units'
import { COLOUR_NAMES, cutName, INPUT_NAMES, POINT_NAMES, TENDERNESS_NAMES } from '@/words/words'
import { BeginCook } from '../board/begin-cook'
import { StageEditor } from '../controls/stage-editor'
import { CutFace } from '../cut-face/cut-face'
import { CoreChart } from '../data/core-chart'
import { KeptBeside, type SetAside } from '../document-desk/kept-beside'
import { KeptLink } from '../document-desk/kept-link'
import { SaveLine } from '../document-desk/save-state'
import { useDraft, useSaving } from '../document-desk/use-saving'
import { standingOf } from '../document-desk/use-when-kept'
import { CookingNow, CooksOfPlan } from '../kitchen/cooking-now'
import { SaidAgain } from '../line/said-again'
import { useMay } from '../people/who'
import { HeatRibbon } from '../ribbon/heat-ribbon'
import { Why } from '../shell/why'
import { BeforeAfter } from './before-after'
import { ClashBanner, differencesOf } from './clash-banner'
import { CutCard } from './cut-card'
import { LearnedCard } from './learned-card'
import { Particulars } from './particulars'
import { Sentence } from './sentence'
import { TaskList } from './task-list'
import { TroubleNote } from './trouble-note'
import { useLivePlan } from './use-live-plan'
import { useRibbonEdit } from './use-ribbon-edit'
import { WaysCard } from './ways-card'

interface DeskProps {
  readonly kitchen: string
  readonly planId: string
  readonly version: number
  readonly document: PlanDocument
  readonly plan: Plan
  readonly units: Units
  readonly now_s: number
  readonly house: readonly HouseItem[]
  /** Saves that came too late and wait to be looked at. */
  readonly setAside: readonly SetAside<PlanDocument>[]
  /** What is cooking of it now: the run goes by its board. */
  readonly living?: LivingCook | undefined
  readonly cooks: Parameters<typeof CooksOfPlan>[0]['cooks']
}

const WEIGHT_STYLE: Readonly<Record<Weight, { box: string; mark: string; word: string }>> = {
  danger: { box: 'border-wattle bg-wattle-ground', mark: '■', word: 'Danger' },
  choice: { box: 'border-copper bg-copper-ground', mark: '◆', word: 'Your choice' },
  good: { box: 'border-moss bg-moss-ground', mark: '✓', word: 'Good' },
  note: { box: 'border-line', mark: '–', word: 'Note' },
}

/** What is late of a plan is no trouble of it once it is being cooked: its board knows better. */
const BEGUN: ReadonlySet<string> = new Set(['start_passed', 'in_otherwise', 'promise_passed', 'thaw_passed'])

/** One plan on the desk: the sentence, the ribbon, the run, and what is behind it. */
export function PlanDesk({
  kitchen,
  planId,
  version,
  document: first,
  plan: firstPlan,
  units,
  now_s,
  house,
  setAside,
  living,
  cooks,
}: DeskProps) {
  const [document, setDocument] = useState(first)
  const live = useLivePlan(document, firstPlan, now_s)
  const address = `/api/k/${kitchen}/plans/${planId}`
  const may = useMay('plan')
  const saving = useSaving(address, planId, version, document, may && live.problems.length === 0, setDocument)
  // Who may cook and not change plans cooks what is kept, whatever was tried out here.
  const standing = may ? standingOf(saving, live.working) : 'kept'
  const change = useCallback((apply: (last: PlanDocument) => PlanDocument) => setDocument(apply), [])
  const edit = useRibbonEdit(document, change)
  const stages = stagesOfDocument(document)
  const { plan } = live
  const cut = cutAsCooked(document)
  const standards = standardsSentence(document.roast.standards, units)
  const school = 'school' in document.program ? findSchool(document.program.school) : undefined
  const pull = plan.tasks.find((task) => task.kind === 'pull')
  const draft = useDraft(planId, first, STORED.roast)
  const cautions = plan.cautions
    .map((caution) => ({ code: caution.code, ...cautionWords(caution, units) }))
    .sort((a, b) => WEIGHTS.indexOf(a.weight) - WEIGHTS.indexOf(b.weight))
  const doubt_min = Math.round((plan.ensemble.pull_s.p90 - plan.ensemble.pull_s.p10) / 60)
  const most = plan.ensemble.matters[0]

  return (
    <div
      className="mx-auto max-w-[84rem] space-y-5 px-4 py-5 sm:px-6"
      data-testid="desk"
      data-working={live.working || undefined}
    >
      <div className="flex flex-wrap items-end gap-x-6 gap-y-2">
        <div className="min-w-0 flex-1 basis-full sm:basis-0">
          <p className="text-base text-soft">
            {cut?.name ?? cutName(document.roast.cut)}, {mass(document.roast.mass_kg, units)} ·{' '}
            {day(plan.promise, units)}
          </p>
          <input
            aria-label="Name of the plan"
            className="w-full border-0 bg-transparent font-display text-3xl font-bold tracking-tight sm:text-4xl"
            value={document.title}
            maxLength={120}
            onChange={(event) => change((last) => ({ ...last, title: event.target.value }))}
          />
        </div>
        {may ? (
          <SaveLine saving={saving} />
        ) : (
          <p className="text-base text-soft" data-testid="tried-out">
            It takes a head cook to change plans: what you try here is not kept.
          </p>
        )}
        {!living && <BeginCook kitchen={kitchen} plan={planId} standing={standing} units={units} />}
        <KeptLink
          href={`/k/${kitchen}/plans/${planId}/run-sheet`}
          standing={standing}
          className="rounded-full bg-action px-5 text-white"
        >
          Run sheet
        </KeptLink>
      </div>
      {living && <CookingNow kitchen={kitchen} living={living} units={units} />}
      <CooksOfPlan kitchen={kitchen} cooks={cooks} units={units} />

      <KeptBeside
        draft={draft}
        setAside={setAside}
        address={address}
        units={units}
        describe={(other) => differencesOf(other, document, units)}
        take={setDocument}
      />
      {saving.clash && (
        <ClashBanner clash={saving.clash} units={units} keepMine={saving.keepMine} keepTheirs={saving.keepTheirs} />
      )}
      {plan.troubles
        .filter(({ code }) => !living || !BEGUN.has(code))
        .map((trouble) => (
          <TroubleNote key={trouble.code} trouble={trouble} units={units} change={change} />
        ))}

      <section aria-label="The heat ribbon" className="rounded-2xl border border-line bg-sheet px-2 pb-2 pt-3 sm:px-3">
        <HeatRibbon plan={plan} cutId={document.roast.cut} units={units} edit={edit} />
      </section>

      <section aria-label="The plan in words" className="max-w-[70rem]">
        <Sentence
          document={document}
          usualThickness_mm={Math.round(plan.thickness_m * 1000)}
          problems={live.problems}
          units={units}
          now_s={now_s}
          change={change}
        />
      </section>

      {standards && (
        <p className="text-lg text-soft" data-testid="as-the-house">
          {standards}{' '}
          <Link href={`/k/${kitchen}/ways`} prefetch={false} className="underline underline-offset-4">
            House standards
          </Link>
        </p>
      )}

      <LearnedCard
        learned={document.learned}
        kitchen={kitchen}
        units={units}
        without={(part) => change((last) => doWithout(last, [part.of]))}
      />

      <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-3 lg:grid-cols-2">
        <Particulars document={document} heads={platesOf(plan.yield)} units={units} change={change} />
        <WaysCard document={document} kitchen={kitchen} units={units} change={change} />
        <SaidAgain document={document} units={units} />
        <CutCard document={document} kitchen={kitchen} units={units} house={house} change={change} />
      </div>

      <BeforeAfter document={document} plan={plan} units={units} change={change} />

      <div className="grid grid-cols-[minmax(0,1fr)] gap-5 lg:grid-cols-[minmax(0,1.05fr)_minmax(0,1fr)]">
        <div className="space-y-5">
          <section className="rounded-2xl border border-line bg-sheet p-4 sm:p-5">
            <h2 className="mb-1 font-display text-2xl font-semibold">The run</h2>
            <TaskList
              acid={document.preparation === 'acid_marinade'}
              tasks={living ? livingTasks(plan.tasks, living.run) : plan.tasks}
              cutId={document.roast.cut}
              units={units}
            />
          </section>
          {stages.length > 0 && (
            <section className="rounded-2xl border border-line bg-sheet p-4 sm:p-5">
              <div className="mb-3 flex flex-wrap items-baseline justify-between gap-3">
                <h2 className="font-display text-2xl font-semibold">The stages</h2>
                <KeptLink
                  href={`/k/${kitchen}/plans/${planId}/schools`}
                  standing={standing}
                  className="underline decoration-copper-bright underline-offset-4"
                >
                  Compare the schools
                </KeptLink>
              </div>
              <StageEditor
                stages={stages}
                name={'stages' in document.program ? document.program.name : undefined}
                kitchen={kitchen}
                units={units}
                house={house}
                laterOf={(index) => plan.tendingCosts.find(({ stage }) => stage === index)?.later_s}
                onChange={(next, name) =>
                  change((last) => withProgram(last, { ...(name ? { name } : {}), stages: withRoles(next) }))
                }
              />
            </section>
          )}
        </div>
        <div className="space-y-5">
          <section className="rounded-2xl border border-line bg-sheet p-4 sm:p-5">
            <dl className="grid grid-cols-2 gap-x-5 gap-y-3 sm:grid-cols-3">
              {pull && (
                <Figure
                  label={pullLead(pull.because.numbers)}
                  value={temperature(plan.pull_c, units)}
                  basis="from the model"
                  note={`It climbs ${rise(plan.peak_c - plan.pull_c, units)} ${pull.because.numbers.stays ? 'in its hot finish and after' : 'in the rest'} and peaks at ${temperature(plan.peak_c, units)} after ${duration(plan.peakAfter_s)}.${shownWords(plan.shown, units)}`}
                />
              )}
              <Figure
                label="Peak"
                value={temperature(plan.peak_c, units)}
                basis="from the model"
                note={`Eight times in ten between ${temperature(plan.ensemble.peak_c.p10, units)} and ${temperature(plan.ensemble.peak_c.p90, units)} when pulled at that reading. A degree earlier or later is about a degree here.`}
              />
              {plan.safety && (
                <Figure
                  label="Safe"
                  value={chanceWords(plan.safety.chance)}
                  basis="from simulated cooks; the least is the food agencies’, from memory"
                  note={pullSafetyWords(plan.safety, units)}
                />
              )}
              {pull && doubt_min > 0 && (
                <Figure
                  label="Doubt"
                  value={`± ${Math.round(doubt_min / 2)} min`}
                  basis={`from ${plan.ensemble.members} simulated cooks`}
                  note={`Eight in ten end within the window. What matters most is ${INPUT_NAMES[most?.input ?? ''] ?? ''} (${Math.round((most?.share ?? 0) * 100)} % of the doubt)${most?.input === 'thickness' && document.roast.thickness_mm === null ? ': measure the thickness and it narrows' : ''}.`}
                />
              )}
              <Figure
                label="Weight lost"
                value={`${Math.round(plan.yield.lost * 100)} %`}
                basis="from the model"
                note={`${mass(plan.yield.cooked_kg, units)} comes to the board, about ${mass(plan.yield.carved_kg, units)} of it as slices. Of what it loses about ${mass(plan.yield.juices_kg, units)} is juice in the tin, the rest steam. At the knife about ${mass(plan.yield.boardJuices_kg, units)} more runs on the board: the hotter it is carved, the more.`}
              />
              <Figure
                label="Crust"
                value={COLOUR_NAMES[colourOf(plan.browning_s)]}
                basis="from the model; the words by common practice"
                note={`What sticks out and dries, ridges, fat and skin, has had as much as ${duration(plan.browning_s)} at ${temperature(150, units)}. Sugar and fat brown sooner, a covered roast hardly at all.`}
              />
              <Figure
                label="Feeds"
                value={`${platesOf(plan.yield)}`}
                basis="common practice"
                note={`${mass(cut?.perHead_kg ?? 0.3, units)} raw a head for this cut.${document.guests === null ? '' : ` ${document.guests} eat of it.`}`}
              />
              {cut?.doneness === 'tender' && (
                <Figure
                  label="Tender"
                  value={TENDERNESS_NAMES[tendernessOf(plan.tender_s)]}
                  basis="from the model; the law from two facts of practice, from memory"
                  note={`Its middle has had as much as ${duration(plan.tender_s)} at ${temperature(90, units)} by the knife. Time and heat both count: ${temperature(68, units)} for thirty hours does what ${temperature(90, units)} does in an hour and a half.`}
                />
              )}
              <Figure
                label="Stays warm"
                value={duration(plan.warm_s)}
                basis="from the model"
                note={`From the knife, tented on the board, until the meat is below ${temperature(SERVING_WARMTH_C, units)}.`}
              />
              <Figure
                label="Cools in time"
                value={
                  plan.cooling.whole.inTime
                    ? 'whole'
                    : plan.cooling.slab_m
                      ? `≤ ${length(plan.cooling.slab_m, units)}`
                      : 'cut fine'
                }
                basis="from the model; the limits are the food code’s, from memory"
                note={`Left whole in the fridge the middle takes ${duration(Math.min(48 * 3600, plan.cooling.whole.to21_s))} from ${temperature(COOLING.from_c, units)} to ${temperature(COOLING.middle_c, units)}; two hours are allowed, and four more to ${temperature(COOLING.to_c, units)}. ${plan.cooling.whole.inTime ? '' : plan.cooling.slab_m ? `Cut to ${length(plan.cooling.slab_m, units)} or thinner it makes it.` : ''}`}
              />
              {plan.bodies.length > 1 && (
                <Figure
                  label="Between the points"
                  value={rise(plan.gap_k, units)}
                  basis="from the model"
                  note={`At the pull: ${plan.bodies.map(({ point, pull_c }) => `${POINT_NAMES[point]} ${temperature(pull_c, units)}`).join(', ')}. ${plan.points.includes('thigh') ? 'Breast down for the first part, foil on the breast or open legs bring them together.' : 'Tie or fold the thin end to even it.'}`}
                />
              )}
              <Figure
                label="Through"
                value={length(plan.thickness_m, units)}
                basis={document.roast.thickness_mm === null ? 'from cut and weight' : 'as measured'}
                note={`${cut?.measure ?? ''}. Thickness decides the time far more than weight.`}
              />
            </dl>
            {school && <p className="mt-4 border-t border-line pt-3 text-base text-soft">{school.why}</p>}
          </section>
          <section className="rounded-2xl border border-line bg-sheet p-4 sm:p-5">
            <h2 className="mb-3 font-display text-2xl font-semibold">The cut face</h2>
            <CutFace plan={plan} cutId={document.roast.cut} units={units} wishes={document.wishes} />
          </section>
          <section className="rounded-2xl border border-line bg-sheet p-4 sm:p-5">
            <h2 className="mb-2 font-display text-2xl font-semibold">The core</h2>
            <CoreChart plan={plan} units={units} />
          </section>
          <section>
            <h2 className="sr-only">Cautions</h2>
            <ul className="space-y-2">
              {cautions.map(({ code, weight, text }) => (
                <li
                  key={code}
                  className={`rounded-lg border-l-4 px-3 py-2 text-base leading-snug ${WEIGHT_STYLE[weight].box}`}
                >
                  <span aria-hidden className="mr-2 font-bold">
                    {WEIGHT_STYLE[weight].mark}
                  </span>
                  <span className="sr-only">{WEIGHT_STYLE[weight].word}: </span>
                  {text}
                </li>
              ))}
            </ul>
          </section>
        </div>
      </div>
    </div>
  )
}

function Figure({
  label,
  value,
  basis,
  note,
}: {
  readonly label: string
  readonly value: string
  readonly basis: string
  readonly note: string
}) {
  return (
    <div>
      <dt className="text-base text-soft">{label}</dt>
      <dd className="font-display text-2xl font-semibold">
        <Why label={`${label} ${value}`} basis={basis} note={note}>
          {value}
        </Why>
      </dd>
    </div>
  )
}
