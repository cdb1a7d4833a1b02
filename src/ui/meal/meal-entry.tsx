'use client'
import { useRouter } from 'next/navigation'
import { useRef, useState } from 'react'
import type { MealPlan } from '@/domain/meal/make-meal'
import type { MealDocument } from '@/domain/meal/meal-document'
import type { Problem } from '@/domain/problem/problem'
import { clock, shortDay, type Units } from '@/words/units'
import { JsonText, SILENT_PROBLEM, send } from '../shell/client'
import { ProblemList } from '../shell/problem-list'
import { useHydrated } from '../shell/use-hydrated'

/** A whole meal from who many and when, or from a file that is looked at before it is kept. */
export function MealEntry({ kitchen, units }: { readonly kitchen: string; readonly units: Units }) {
  const router = useRouter()
  const ready = useHydrated()
  const file = useRef<HTMLInputElement>(null)
  const [line, setLine] = useState('')
  const [problems, setProblems] = useState<readonly Problem[]>([])
  const [seen, setSeen] = useState<{ document: MealDocument; plan: MealPlan } | undefined>()
  const post = async <Answer,>(address: string, body: unknown): Promise<Answer | undefined> => {
    setProblems([])
    const answered = await send<Answer>(address, 'POST', body)
    if (answered.ok) return answered.value
    setProblems(answered.problems.length > 0 ? answered.problems : [SILENT_PROBLEM])
    return undefined
  }
  const add = async (body: unknown) => {
    const row = await post<{ id: string }>(`/api/k/${kitchen}/meals`, body)
    if (row) router.push(`/k/${kitchen}/meals/${row.id}`)
  }
  return (
    <div className="min-w-0 flex-1 basis-full sm:basis-0">
      <form
        className="flex flex-wrap items-center gap-2"
        onSubmit={(event) => {
          event.preventDefault()
          void add({ line })
        }}
      >
        <input
          aria-label="How many, and when"
          className="min-h-11 min-w-0 flex-1 basis-full rounded-xl border-2 border-line bg-sheet px-3 text-lg sm:max-w-md sm:basis-0"
          placeholder="38 people on Saturday at 19:30, three turkeys, roast potatoes"
          disabled={!ready}
          value={line}
          onChange={(event) => {
            setLine(event.target.value)
            setProblems([])
          }}
        />
        <button type="submit" disabled={!ready} className="min-h-11 rounded-xl bg-action px-4 font-semibold text-white">
          Plan the meal
        </button>
        <button
          type="button"
          className="min-h-11 px-2 underline underline-offset-4"
          onClick={() => file.current?.click()}
        >
          From a file
        </button>
        <input
          ref={file}
          type="file"
          accept="application/json"
          aria-label="A meal as JSON"
          className="sr-only"
          tabIndex={-1}
          onChange={async (event) => {
            const chosen = event.target.files?.[0]
            event.target.value = ''
            if (!chosen) return
            setSeen(await post(`/api/k/${kitchen}/meals/preview`, new JsonText(await chosen.text())))
          }}
        />
      </form>
      <ProblemList problems={problems.slice(0, 6)} units={units} className="mt-2 px-3 py-1.5" />
      {seen && (
        <section className="mt-2 rounded-xl border-2 border-copper bg-copper-ground p-3" data-testid="import-preview">
          <p className="text-lg">
            <strong>{seen.document.title || 'A meal'}</strong>: {seen.document.guests} guests,{' '}
            {seen.document.servings
              .map(({ at }) => `${shortDay(Date.parse(at) / 1000, units)} ${clock(Date.parse(at) / 1000, units)}`)
              .join(', ')}
            ; {[...seen.document.roasts, ...seen.document.sides].map(({ title }) => title).join(', ')}.{' '}
            {seen.plan.dropped.length === 0
              ? 'Everything finds a place.'
              : `${seen.plan.dropped.length} find no place.`}
          </p>
          <div className="mt-2 flex gap-3">
            <button
              type="button"
              className="min-h-11 rounded-full bg-action px-5 font-semibold text-white"
              onClick={() => void add({ document: seen.document })}
            >
              Keep it
            </button>
            <button type="button" className="min-h-11 px-3 underline" onClick={() => setSeen(undefined)}>
              Let it go
            </button>
          </div>
        </section>
      )}
    </div>
  )
}
