import { setPriority } from 'node:os'
import { workerData } from 'node:worker_threads'

/** What a thread of the pool runs: the jobs, behind every thread that answers a board. Linux ranks each thread on its own. */
const { niceness } = workerData as { readonly niceness: number }
setPriority(niceness)

export * from './jobs'
