'use client'
import { useEffect, useRef, useState } from 'react'
import type { Plan } from '@/core/schedule/plan'
import { fail, type Problem } from '@/domain/problem/problem'
import type { PlanDocument } from '@/domain/roast/roast-document'
import type { PlanWorker } from '@/workers/browser/protocol'
import { openThread, type Thread } from '../shell/thread'

interface Live {
  /** The newest plan that could be made; stays while the document has problems. */
  readonly plan: Plan
  readonly problems: readonly Problem[]
  readonly working: boolean
}

/**
 * Keeps a plan in step with its document, computed in a worker. Only the newest wish is answered:
 * while one is being computed, later ones replace each other.
 */
export function useLivePlan(document: PlanDocument, first: Plan, now_s: number): Live {
  const [live, setLive] = useState<Live>({ plan: first, problems: [], working: false })
  const worker = useRef<Thread<PlanWorker> | undefined>(undefined)
  const waiting = useRef<PlanDocument | undefined>(undefined)
  const busy = useRef(false)
  const opened = useRef({ now_s, at_ms: 0 })

  useEffect(() => {
    opened.current = { now_s, at_ms: performance.now() }
    const thread = openThread<PlanWorker>(
      () =>
        new Worker(new URL('../../workers/browser/plan.worker.ts', import.meta.url), { type: 'module', name: 'plan' }),
    )
    worker.current = thread
    return () => {
      worker.current = undefined
      busy.current = false
      thread.end()
    }
  }, [now_s])

  const isFirst = useRef(true)
  useEffect(() => {
    if (isFirst.current) {
      isFirst.current = false
      return
    }
    waiting.current = document
    const run = async () => {
      if (busy.current) return
      busy.current = true
      while (waiting.current && worker.current) {
        const wish = waiting.current
        waiting.current = undefined
        setLive((last) => ({ ...last, working: true }))
        const elapsed_s = Math.round((performance.now() - opened.current.at_ms) / 1000)
        const at_s = opened.current.now_s + elapsed_s
        const outcome = await worker.current
          .ask((api) => api.plan(wish, at_s))
          .catch(() => fail({ code: 'reckoning_stopped', path: [] }))
        setLive((last) =>
          outcome.ok
            ? { plan: outcome.value, problems: [], working: false }
            : { plan: last.plan, problems: outcome.problems, working: false },
        )
      }
      busy.current = false
    }
    void run()
  }, [document])

  return live
}
