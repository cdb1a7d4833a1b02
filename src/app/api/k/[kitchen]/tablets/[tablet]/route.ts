import { takeOutTablet } from '@/server/access/people'
import { removedAnswer } from '@/server/wire/answers'
import { respond } from '../../../../respond'

export async function DELETE(
  _request: Request,
  { params }: { params: Promise<{ kitchen: string; tablet: string }> },
): Promise<Response> {
  const { kitchen, tablet } = await params
  return respond(removedAnswer, await takeOutTablet(kitchen, tablet))
}
