import { endMySession } from '@/server/access/people'
import { removedAnswer } from '@/server/wire/answers'
import { respond } from '../../../respond'

export async function DELETE(
  _request: Request,
  { params }: { params: Promise<{ session: string }> },
): Promise<Response> {
  return respond(removedAnswer, await endMySession((await params).session))
}
