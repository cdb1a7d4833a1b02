import type { Problem } from '@/domain/problem/problem'
import { problemSentence } from '@/words/problems'
import type { Units } from '@/words/units'

/** What is wrong with what was given, a sentence each; nothing where all is well. */
export function ProblemList({
  problems,
  units,
  className,
}: {
  readonly problems: readonly Problem[]
  readonly units: Units
  readonly className: string
}) {
  if (problems.length === 0) return null
  return (
    <ul role="alert" className={`rounded-lg border-l-4 border-wattle bg-wattle-ground ${className}`}>
      {problems.map((problem) => (
        <li key={JSON.stringify(problem)}>{problemSentence(problem, units)}</li>
      ))}
    </ul>
  )
}
