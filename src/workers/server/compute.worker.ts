import { constants, setPriority } from 'node:os'

/** What a thread of the pool runs: the jobs, behind every thread that answers a board. */
setPriority(constants.priority.PRIORITY_BELOW_NORMAL)

export * from './jobs'
