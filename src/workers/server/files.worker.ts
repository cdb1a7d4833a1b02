import { setPriority } from 'node:os'
import { workerData } from 'node:worker_threads'

/** What the thread that reads and writes files runs, last in line. */
const { niceness } = workerData as { readonly niceness: number }
setPriority(niceness)

export * from './file-jobs'
