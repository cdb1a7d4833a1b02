import type { Outcome, Problem } from '@/domain/problem/problem'

/** Problems that are the server's and go over: nothing is wrong with what was asked. */
const PASSING: ReadonlySet<Problem['code']> = new Set(['out_of_time', 'too_busy', 'unavailable'])

/** Whether what was refused can be asked again as it is. */
export const passes = ({ problems }: { readonly problems: readonly Problem[] }): boolean =>
  problems.some(({ code }) => PASSING.has(code))

/** Work that was begun cannot be answered now; withDatabase says so in its place. */
export class NotNow extends Error {
  constructor(readonly problems: readonly Problem[]) {
    super(problems.map(({ code }) => code).join(', '))
  }
}

/**
 * What a job came to, for work that goes on without it where it cannot be done: not where the machine was only
 * busy, or the same line would make one plan at rest and another under load.
 *
 * @throws NotNow where the problem is the server's and goes over
 */
export function settled<Value>(made: Outcome<Value>): Value | undefined {
  if (made.ok) return made.value
  if (passes(made)) throw new NotNow(made.problems)
  return undefined
}
