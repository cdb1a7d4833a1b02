import { withdraw } from '@/server/access/people'
import { removedAnswer } from '@/server/wire/answers'
import { respond } from '../../../../respond'

export async function DELETE(
  _request: Request,
  { params }: { params: Promise<{ kitchen: string; invitation: string }> },
): Promise<Response> {
  const { kitchen, invitation } = await params
  return respond(removedAnswer, await withdraw(kitchen, invitation))
}
