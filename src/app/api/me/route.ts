import { removeMe } from '@/server/access/people'
import { removedAnswer } from '@/server/wire/answers'
import { respond } from '../respond'

/** Takes one's own sign-in away; what one did stays. */
export async function DELETE(): Promise<Response> {
  return respond(removedAnswer, await removeMe())
}
