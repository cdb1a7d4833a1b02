'use client'
import * as Comlink from 'comlink'
import { useCallback, useEffect, useRef, useState } from 'react'
import type { MealChange } from '@/domain/meal/changes'
import type { MealPlan } from '@/domain/meal/make-meal'
import type { MealDocument } from '@/domain/meal/meal-document'
import type { Problem } from '@/domain/problem/problem'
import type { MealWorker } from '@/workers/browser/protocol'
import { openThread } from '../shell/thread'

export interface LiveMeal {
  readonly plan: MealPlan | undefined
  readonly problems: readonly Problem[]
  /** The exact solver is at work; the plan shown is the best so far. */
  readonly working: boolean
  readonly changes: readonly MealChange[]
  /** Whether it was tried what would make room: not while nobody let it, and all of it when it is over. */
  readonly search: 'none' | 'on' | 'over'
}

const LIMIT_S = 20

const open = () =>
  openThread<MealWorker>(
    () =>
      new Worker(new URL('../../workers/browser/meal.worker.ts', import.meta.url), { type: 'module', name: 'meal' }),
  )

/**
 * Keeps the schedule in step with the document. Each change ends the solver that was at work and
 * starts afresh: the first answer comes at once, better ones follow, `done` hears the last.
 */
export function useMealPlan(
  document: MealDocument,
  first: MealPlan | undefined,
  firstProblems: readonly Problem[],
  done: (document: MealDocument, plan: MealPlan) => void,
): LiveMeal & { readonly cancel: () => void } {
  const [live, setLive] = useState<LiveMeal>({
    plan: first,
    problems: firstProblems,
    working: false,
    changes: [],
    search: 'none',
  })
  const running = useRef<ReturnType<typeof open> | undefined>(undefined)
  const tell = useRef(done)
  useEffect(() => {
    tell.current = done
  }, [done])
  // The schedule a document keeps is an answer, not a question: a change of it alone asks nothing.
  const question = JSON.stringify({ ...document, placed: null })
  const asked = useRef(document)
  useEffect(() => {
    asked.current = document
  }, [document])

  useEffect(() => {
    let current = true
    const wish = JSON.parse(question) as MealDocument
    const { placed } = asked.current
    const timer = setTimeout(async () => {
      const worker = open()
      running.current = worker
      setLive((last) => ({ ...last, working: true, changes: [], search: 'on' }))
      try {
        const tellBetter = Comlink.proxy((plan: MealPlan) => {
          if (current) setLive((last) => ({ ...last, plan, problems: [] }))
        })
        const outcome = await worker.ask((api) => api.solve({ ...wish, placed }, LIMIT_S, tellBetter))
        if (!current) return
        if (!outcome.ok)
          return setLive((last) => ({ ...last, problems: outcome.problems, working: false, search: 'none' }))
        setLive((last) => ({ ...last, plan: outcome.value, problems: [], working: false }))
        tell.current(wish, outcome.value)
        const ids = [...new Set(outcome.value.dropped.flatMap(({ id, against }) => [id, ...against]))]
        if (ids.length === 0) return setLive((last) => ({ ...last, search: 'none' }))
        const changes = await worker.ask((api) => api.changes(wish, ids, outcome.value.dropped.length))
        if (current) setLive((last) => ({ ...last, changes, search: 'over' }))
      } catch {
        if (current)
          setLive((last) => ({
            ...last,
            working: false,
            search: 'none',
            problems: [{ code: 'reckoning_stopped', path: [] }],
          }))
      } finally {
        worker.end()
        if (running.current === worker) running.current = undefined
      }
    }, 120)
    return () => {
      current = false
      clearTimeout(timer)
      running.current?.end()
      running.current = undefined
    }
  }, [question])

  const cancel = useCallback(() => {
    running.current?.end()
    running.current = undefined
    setLive((last) => ({ ...last, working: false, search: 'none' }))
  }, [])
  return { ...live, cancel }
}

/** One quick answer for a document that is only being thought about. */
export async function tryMeal(document: MealDocument): Promise<MealPlan | undefined> {
  const worker = open()
  try {
    const outcome = await worker.ask((api) => api.quick({ ...document, placed: null }))
    return outcome.ok ? outcome.value : undefined
  } catch {
    return undefined
  } finally {
    worker.end()
  }
}
