import { createHash } from 'node:crypto'
import { readFileSync } from 'node:fs'
import type { Piscina } from 'piscina'
import { fail, type Outcome } from '@/domain/problem/problem'
import { planDocument } from '@/domain/roast/roast-document'
import type * as jobs from '@/workers/server/jobs'
import { nowSeconds } from './environment'
import { DEADLINE_MS, POOLS, RETRY_AFTER_S } from './limits'
import { isFull, threadPool, threadProgram } from './threads'

/** The pool: nothing that takes long runs on the thread that answers boards. */

type Jobs = typeof jobs
type JobName = keyof Jobs
type Answer<Name extends JobName> = Awaited<ReturnType<Jobs[Name]>>

interface JobPlace {
  readonly pool: keyof typeof POOLS
  readonly deadline_ms: number
}
const PLACES: Readonly<Record<JobName, JobPlace>> = {
  plan: { pool: 'kitchen', deadline_ms: DEADLINE_MS.plan },
  summary: { pool: 'kitchen', deadline_ms: DEADLINE_MS.screen },
  beginPlan: { pool: 'kitchen', deadline_ms: DEADLINE_MS.plan },
  beginMeal: { pool: 'kitchen', deadline_ms: DEADLINE_MS.meal },
  fit: { pool: 'kitchen', deadline_ms: DEADLINE_MS.meal },
  meal: { pool: 'kitchen', deadline_ms: DEADLINE_MS.meal },
  story: { pool: 'headless', deadline_ms: DEADLINE_MS.plan },
  accuracy: { pool: 'headless', deadline_ms: DEADLINE_MS.plan },
  simulate: { pool: 'headless', deadline_ms: DEADLINE_MS.screen },
  estimate: { pool: 'headless', deadline_ms: DEADLINE_MS.plan },
  schedule: { pool: 'headless', deadline_ms: DEADLINE_MS.plan },
}

const program = (): string => threadProgram('worker', process.env.PHEASANT_COMPUTE)

let stamp: string | undefined
/** Which code computes: what was computed by another is computed again. */
export const modelStamp = (): string =>
  (stamp ??= createHash('sha256').update(readFileSync(program())).digest('hex').slice(0, 16))

const held = globalThis as { pheasantPools?: Partial<Record<keyof typeof POOLS, Piscina>> }
held.pheasantPools ??= {}
const pools = held.pheasantPools

function poolOf(name: keyof typeof POOLS): Piscina {
  const { threads, waiting, niceness } = POOLS[name]
  pools[name] ??= threadPool(program(), niceness, {
    minThreads: threads,
    maxThreads: threads,
    maxQueue: waiting,
    resourceLimits: { maxOldGenerationSizeMb: 512, maxYoungGenerationSizeMb: 32 },
  })
  return pools[name]
}

/**
 * Has a job done by a thread of its pool, within its deadline or not at all: the thread is ended where
 * the time is up or nobody waits any more, and another takes its place.
 *
 * @param gone aborted when whoever asked is gone
 */
export async function compute<Name extends JobName>(
  name: Name,
  input: Parameters<Jobs[Name]>[0],
  gone?: AbortSignal,
): Promise<Answer<Name>> {
  const { pool, deadline_ms } = PLACES[name]
  const deadline = AbortSignal.timeout(deadline_ms)
  try {
    const signal = gone ? AbortSignal.any([deadline, gone]) : deadline
    return (await poolOf(pool).run(input, { name, signal })) as Answer<Name>
  } catch (problem) {
    const refused = (refusal: Outcome<never>) => refusal as Answer<Name>
    if (deadline.aborted) return refused(fail({ code: 'out_of_time', path: [], limit_s: deadline_ms / 1000 }))
    if (gone?.aborted || isFull(problem)) return refused(fail({ code: 'too_busy', path: [], retry_s: RETRY_AFTER_S }))
    throw problem
  }
}

/** Has each of the kitchen's threads plan something, so that the first who asks does not wait for it to get going. */
export async function warmUp(): Promise<void> {
  const now_s = nowSeconds()
  const document = planDocument.parse({
    roast: { cut: 'pork-loin', mass_kg: 2 },
    promise: new Date((now_s + 8 * 3600) * 1000).toISOString(),
  })
  const threads = Array.from({ length: POOLS.kitchen.threads }, () =>
    poolOf('kitchen').run({ document, now_s }, { name: 'plan' }),
  )
  await Promise.allSettled(threads)
}
