import { existsSync } from 'node:fs'
import { join } from 'node:path'
import { Piscina } from 'piscina'
import { fail, type Outcome, succeed } from '@/domain/problem/problem'
import type * as jobs from '@/workers/server/file-jobs'
import { FILES, RETRY_AFTER_S } from './limits'

/** Work on whole files: a thread of its own, which reads and writes the database itself. */

type Jobs = typeof jobs
type JobName = keyof Jobs
type Answer<Name extends JobName> = Awaited<ReturnType<Jobs[Name]>>

const program = (): string => {
  const file = process.env.PHEASANT_FILES ?? join(process.cwd(), '.next', 'compute', 'files.mjs')
  if (!existsSync(file)) throw new Error(`${file} is missing: run npm run build`)
  return file
}

const held = globalThis as { pheasantFiles?: Piscina }
const pool = () =>
  (held.pheasantFiles ??= new Piscina({
    filename: program(),
    minThreads: 0,
    maxThreads: 1,
    maxQueue: FILES.waiting,
    concurrentTasksPerWorker: 1,
    idleTimeout: 60_000,
    recordTiming: false,
    workerData: { niceness: FILES.niceness },
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
    if (problem instanceof Error && /queue/i.test(problem.message))
      return fail({ code: 'too_busy', path: [], retry_s: RETRY_AFTER_S })
    throw problem
  }
}
