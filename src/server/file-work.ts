import type { Piscina } from 'piscina'
import { fail, type Outcome, succeed } from '@/domain/problem/problem'
import type * as jobs from '@/workers/server/file-jobs'
import { FILES, RETRY_AFTER_S } from './limits'
import { isFull, threadPool, threadProgram } from './threads'

/** Work on whole files: a thread of its own, which reads and writes the database itself. */

type Jobs = typeof jobs
type JobName = keyof Jobs
type Answer<Name extends JobName> = Awaited<ReturnType<Jobs[Name]>>

const held = globalThis as { pheasantFiles?: Piscina }
const pool = () =>
  (held.pheasantFiles ??= threadPool(threadProgram('files', process.env.PHEASANT_FILES), FILES.niceness, {
    minThreads: 0,
    maxThreads: 1,
    maxQueue: FILES.waiting,
    resourceLimits: { maxOldGenerationSizeMb: 1024 },
  }))

/** Has a job done within its deadline or not at all. */
export async function onFiles<Name extends JobName>(
  name: Name,
  input: Parameters<Jobs[Name]>[0],
  deadline_ms: number = FILES.deadline_ms,
): Promise<Outcome<Answer<Name>>> {
  const deadline = AbortSignal.timeout(deadline_ms)
  try {
    return succeed((await pool().run(input, { name, signal: deadline })) as Answer<Name>)
  } catch (problem) {
    if (deadline.aborted) return fail({ code: 'out_of_time', path: [], limit_s: deadline_ms / 1000 })
    if (isFull(problem)) return fail({ code: 'too_busy', path: [], retry_s: RETRY_AFTER_S })
    throw problem
  }
}
