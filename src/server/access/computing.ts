import { whoOf } from '@/domain/people/actor'
import { type Outcome, succeed } from '@/domain/problem/problem'
import { signedIn } from '../kitchen'
import { within } from './limiter'

/** Whether whoever asks may have something computed that belongs to no kitchen: anybody who is somebody, so often. */
export async function mayCompute(): Promise<Outcome<true>> {
  const actor = await signedIn()
  if (!actor.ok) return actor
  const often = await within('compute', whoOf(actor.value).id)
  return often.ok ? succeed(true) : often
}
