import { existsSync } from 'node:fs'
import { join } from 'node:path'
import { Piscina } from 'piscina'

/** What pools of threads have in common. */

/** A program of theirs, built by bin/setup/compute.mjs beside the application. @throws Error where it is missing */
export function threadProgram(name: 'worker' | 'files', said: string | undefined): string {
  const file = said ?? join(process.cwd(), '.next', 'compute', `${name}.mjs`)
  if (!existsSync(file)) throw new Error(`${file} is missing: run npm run build`)
  return file
}

type PoolOptions = NonNullable<ConstructorParameters<typeof Piscina>[0]>

/** A pool whose threads do one job at a time, so far behind the thread that answers. */
export const threadPool = (
  filename: string,
  niceness: number,
  options: Pick<PoolOptions, 'minThreads' | 'maxThreads' | 'maxQueue' | 'resourceLimits'>,
): Piscina =>
  new Piscina({
    filename,
    concurrentTasksPerWorker: 1,
    idleTimeout: 60_000,
    recordTiming: false,
    workerData: { niceness },
    ...options,
  })

/** Whether a pool took no more. */
export const isFull = (problem: unknown): boolean =>
  problem instanceof Error && /queue is at limit|queue.*full/i.test(problem.message)
