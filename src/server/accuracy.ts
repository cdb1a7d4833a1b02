import type { Accuracy } from '@/domain/accuracy/accuracy'
import type { Outcome } from '@/domain/problem/problem'
import { compute } from './compute'

let known: Promise<Outcome<Accuracy>> | undefined

/** The model beside what is published: computed once, for it only changes with the program. */
export async function accuracyOfModel(): Promise<Outcome<Accuracy>> {
  known ??= compute('accuracy', undefined)
  const made = await known
  if (!made.ok) known = undefined
  return made
}
