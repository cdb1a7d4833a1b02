'use client'
import { Redo2, Undo2 } from 'lucide-react'
import { useCallback, useEffect, useState } from 'react'
import type { LivingCook } from '@/domain/cook/living-plan'
import type { HouseItem } from '@/domain/house/house-item'
import { mealWithout } from '@/domain/learn/learned'
import { type MealPlan, placedOf } from '@/domain/meal/make-meal'
import { type MealDocument, withPart } from '@/domain/meal/meal-document'
import type { Problem } from '@/domain/problem/problem'
import { STORED } from '@/domain/stored/stored'
import { changeWords, clashWords } from '@/words/meal-words'
import { clock, day, type Units } from '@/words/units'
import { BeginCook } from '../board/begin-cook'
import { RunList } from '../board/run-list'
import { IconButton } from '../controls/icon-button'
import { KeptBeside, type SetAside } from '../document-desk/kept-beside'
import { KeptLink } from '../document-desk/kept-link'
import { SaveLine } from '../document-desk/save-state'
import { useDraft, useSaving } from '../document-desk/use-saving'
import { standingOf } from '../document-desk/use-when-kept'
import { CookingNow, CooksOfPlan } from '../kitchen/cooking-now'
import { useMay } from '../people/who'
import { LearnedCard } from '../plan/learned-card'
import { send } from '../shell/client'
import { ProblemList } from '../shell/problem-list'
import { useEvents } from '../shell/use-events'
import { AddToMeal } from './add-to-meal'
import { CrewView } from './crew-view'
import { DaysView } from './days-view'
import { ItemPanel } from './item-panel'
import { KitchenPanel } from './kitchen-panel'
import { Lanes } from './lanes'
import { MovePromise } from './move-promise'
import { ShoppingView } from './shopping-view'
import { ThawNotes } from './thaw-notes'
import { useHistory } from './use-history'
import { useMealPlan } from './use-meal-plan'

interface DeskProps {
  readonly kitchen: string
  readonly mealId: string
  readonly version: number
  readonly document: MealDocument
  readonly plan: MealPlan | undefined
  readonly problems: readonly Problem[]
  readonly units: Units
  readonly now_s: number
  /** Saves that came too late and wait to be looked at. */
  readonly setAside: readonly SetAside<MealDocument>[]
  /** What is cooking of it now. */
  readonly living?: LivingCook | undefined
  readonly cooks: Parameters<typeof CooksOfPlan>[0]['cooks']
  readonly house: readonly HouseItem[]
}

const VIEWS = { ovens: 'Ovens', crew: 'Crew', days: 'Days before', shopping: 'Shopping', kitchen: 'Kitchen' } as const
type View = keyof typeof VIEWS

/** A whole meal on the desk: ovens as lanes, what clashes and what would help, crew, days before. */
export function MealDesk({
  kitchen,
  mealId,
  version,
  document: first,
  plan: firstPlan,
  problems,
  units,
  now_s,
  setAside,
  living,
  cooks,
  house,
}: DeskProps) {
  const { document, change, replace, undo, redo, canUndo, canRedo } = useHistory(first)
  const [view, setView] = useState<View>('ovens')
  const [selected, setSelected] = useState<string | undefined>()
  const keep = useCallback(
    (_: MealDocument, plan: MealPlan) => replace((last) => ({ ...last, placed: placedOf(plan) })),
    [replace],
  )
  const live = useMealPlan(document, firstPlan, problems, keep)
  const address = `/api/k/${kitchen}/meals/${mealId}`
  const takeTheirs = useCallback((theirs: MealDocument) => replace(() => theirs), [replace])
  const may = useMay('plan')
  const saving = useSaving(address, mealId, version, document, may && live.problems.length === 0, takeTheirs)
  // Who may cook and not change plans cooks what is kept, whatever was tried out here.
  const standing = may ? standingOf(saving, live.working) : 'kept'
  const { adopt } = saving
  const draft = useDraft(mealId, first, STORED.meal)
  const refresh = async () => {
    const found = await send<{ version: number; document: MealDocument }>(address, 'GET')
    if (found.ok && adopt(found.value.version, found.value.document)) replace(() => found.value.document)
  }
  useEvents(kitchen, {
    told: ({ what, id }) => {
      if (what === 'again' || id === mealId) void refresh()
    },
  })
  useEffect(() => {
    const key = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z') return
      if (event.target instanceof HTMLInputElement || event.target instanceof HTMLSelectElement) return
      event.preventDefault()
      if (event.shiftKey) redo()
      else undo()
    }
    window.addEventListener('keydown', key)
    return () => window.removeEventListener('keydown', key)
  }, [undo, redo])

  const { plan } = live
  const move = (id: string, start_s: number | undefined, oven: string) => {
    const source = plan?.sources.find((each) => each.id === oven)
    const pin = {
      start: start_s === undefined ? null : new Date(start_s * 1000).toISOString(),
      oven: source?.kind === 'oven' ? oven : null,
    }
    setSelected(id)
    change((last) => withPart(last, id, { pin }))
  }
  const tab = (each: View) =>
    `min-h-11 rounded-full px-4 font-semibold ${view === each ? 'bg-action text-white' : 'hover:bg-moss-ground'}`

  return (
    <div
      className="mx-auto max-w-[96rem] space-y-4 px-4 py-5 sm:px-6"
      data-testid="meal-desk"
      data-working={live.working || undefined}
    >
      <div className="flex flex-wrap items-end gap-x-6 gap-y-2">
        <div className="min-w-0 flex-1 basis-full sm:basis-0">
          <p className="text-base text-soft">
            {document.guests} at the table ·{' '}
            {document.servings
              .map(
                ({ at }, i) =>
                  `${i === 0 ? `${day(Date.parse(at) / 1000, units)}, ` : ''}${clock(Date.parse(at) / 1000, units)}`,
              )
              .join(', ')}
          </p>
          <input
            aria-label="Name of the meal"
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
        <div className="flex gap-1">
          <IconButton label="Undo" disabled={!canUndo} onClick={undo}>
            <Undo2 className="size-5" aria-hidden />
          </IconButton>
          <IconButton label="Redo" disabled={!canRedo} onClick={redo}>
            <Redo2 className="size-5" aria-hidden />
          </IconButton>
        </div>
        {!living && <BeginCook kitchen={kitchen} meal={mealId} standing={standing} units={units} />}
        <KeptLink
          href={`/k/${kitchen}/meals/${mealId}/sheets`}
          standing={standing}
          className="rounded-full bg-action px-5 text-white"
        >
          Run sheets
        </KeptLink>
      </div>
      {living && (
        <>
          <CookingNow kitchen={kitchen} living={living} units={units} />
          <RunList run={living.run} document={living.document} units={units} />
        </>
      )}
      <CooksOfPlan kitchen={kitchen} cooks={cooks} units={units} />

      <KeptBeside
        draft={draft}
        setAside={setAside}
        address={address}
        units={units}
        describe={(other) =>
          `${other.title}, ${other.guests} guests, ${other.roasts.length} roasts, ${other.sides.length} sides`
        }
        take={(other) => change(() => ({ ...other, placed: null }))}
      />
      {saving.clash && (
        <section role="alert" className="rounded-xl border-2 border-copper bg-copper-ground p-4" data-testid="clash">
          <h2 className="font-display text-xl font-semibold">
            Someone changed this meal while you did. Both are kept.
          </h2>
          <div className="mt-3 flex flex-wrap gap-3">
            <button
              type="button"
              className="min-h-11 rounded-full bg-action px-5 font-semibold text-white"
              onClick={saving.keepMine}
            >
              Use mine
            </button>
            <button
              type="button"
              className="min-h-11 rounded-full border-2 border-ink px-5 font-semibold"
              onClick={saving.keepTheirs}
            >
              Keep theirs, version {saving.clash.theirs.version}
            </button>
          </div>
        </section>
      )}
      <ProblemList problems={live.problems} units={units} className="px-4 py-2" />

      <nav aria-label="Views" className="flex flex-wrap items-center gap-1">
        {(Object.keys(VIEWS) as View[]).map((each) => (
          <button
            key={each}
            type="button"
            className={tab(each)}
            aria-pressed={view === each}
            onClick={() => setView(each)}
          >
            {VIEWS[each]}
          </button>
        ))}
        <p
          className="ml-auto text-base text-soft"
          role="status"
          data-testid="proof"
          data-proved={plan?.proved || undefined}
        >
          {proofWords(live.working, plan)}{' '}
          {live.working && (
            <button type="button" className="min-h-9 underline underline-offset-4" onClick={live.cancel}>
              This will do
            </button>
          )}
        </p>
      </nav>

      {plan && plan.dropped.length > 0 && (
        <section role="alert" className="rounded-xl border-2 border-wattle bg-wattle-ground p-4" data-testid="clashes">
          {plan.dropped.map((dropped) => (
            <p key={dropped.id} className="text-lg font-semibold">
              {clashWords(dropped, plan, document)}
            </p>
          ))}
          <p className="mt-2 text-base">
            {live.changes.length > 0
              ? 'What would make room, each tried:'
              : live.search === 'on'
                ? 'Looking for what would make room…'
                : live.search === 'over'
                  ? 'No one change makes room. Leave something out, cook it for another hour, or tell Kitchen of another oven or more places.'
                  : ''}
          </p>
          <div className="mt-2 flex flex-wrap gap-2">
            {live.changes.map(({ change: each, dropped, document: changed }) => (
              <button
                key={JSON.stringify(each)}
                type="button"
                className="min-h-11 rounded-full border-2 border-ink px-4 text-left font-semibold leading-tight"
                onClick={() => change(() => ({ ...changed, placed: null }))}
              >
                {changeWords(each, document, units)}
                {dropped > 0 && <span className="font-normal"> ({dropped} still out)</span>}
              </button>
            ))}
          </div>
        </section>
      )}

      {plan && !living && (
        <ThawNotes
          document={document}
          plan={plan}
          now_s={now_s}
          units={units}
          put={(id, part) => change((last) => withPart(last, id, part))}
        />
      )}

      {view === 'ovens' && plan && (
        <>
          <section aria-label="Ovens" className="rounded-2xl border border-line bg-sheet p-3">
            <Lanes plan={plan} units={units} selected={selected} onSelect={setSelected} onMove={move} />
          </section>
          <LearnedCard
            learned={document.learned}
            kitchen={kitchen}
            units={units}
            without={(part) => change((last) => ({ ...mealWithout(last, part), placed: null }))}
          />
          <div className="grid grid-cols-[minmax(0,1fr)] gap-4 lg:grid-cols-[minmax(0,1.2fr)_minmax(0,1fr)]">
            <div className="space-y-4">
              <AddToMeal
                document={document}
                units={units}
                now_s={now_s}
                house={house}
                change={change}
                onAdded={setSelected}
              />
              <MovePromise document={document} plan={plan} units={units} change={change} />
            </div>
            <ItemPanel
              kitchen={kitchen}
              house={house}
              document={document}
              plan={plan}
              selected={selected}
              units={units}
              change={change}
              onSelect={setSelected}
            />
          </div>
        </>
      )}
      {view === 'crew' && plan && <CrewView plan={plan} document={document} units={units} />}
      {view === 'days' && plan && <DaysView plan={plan} document={document} units={units} />}
      {view === 'shopping' && plan && (
        <ShoppingView
          plan={plan}
          document={document}
          units={units}
          kitchen={kitchen}
          mealId={mealId}
          standing={standing}
          change={change}
        />
      )}
      {view === 'kitchen' && (
        <KitchenPanel slug={kitchen} document={document} units={units} now_s={now_s} change={change} />
      )}
    </div>
  )
}

function proofWords(working: boolean, plan: MealPlan | undefined): string {
  if (!plan) return ''
  if (working) return plan.bound === undefined ? 'A first answer; looking for better…' : 'Looking for better…'
  if (plan.proved) return 'Nothing better exists: proved'
  if (plan.bound === undefined) return 'A good answer; how far from the best is not known'
  return `Within ${Math.round((100 * Math.max(0, plan.cost - plan.bound)) / Math.max(1, plan.cost))} % of the best`
}
