import { notFound, redirect } from 'next/navigation'
import type { Problem } from '@/domain/problem/problem'
import { Trouble } from '@/ui/shell/trouble'
import { problemSentence } from '@/words/problems'
import { PLAIN_UNITS } from '@/words/units'

/** The page for what was refused: nothing there is not found, anything else says why and is tried again. */
export function Refused({ problems }: { readonly problems: readonly Problem[] }) {
  const [first] = problems
  if (!first || first.code === 'not_found') notFound()
  if (first.code === 'not_signed_in') redirect('/sign-in')
  return <Trouble sentence={problemSentence(first, PLAIN_UNITS)} />
}
