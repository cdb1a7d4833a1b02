import type { Problem } from '@/domain/problem/problem'

/** Problems that are the server's and go over: nothing is wrong with what was asked. */
export const PASSING: ReadonlySet<Problem['code']> = new Set(['out_of_time', 'too_busy', 'unavailable'])
