import { endMyOtherSessions } from '@/server/access/people'
import { removedAnswer } from '@/server/wire/answers'
import { respond } from '../../respond'

/** Signs out everywhere else. */
export async function DELETE(): Promise<Response> {
  return respond(removedAnswer, await endMyOtherSessions())
}
