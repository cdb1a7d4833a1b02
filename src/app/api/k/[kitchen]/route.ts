import { giveUpKitchen } from '@/server/access/people'
import { BODY } from '@/server/limits'
import { removedAnswer } from '@/server/wire/answers'
import { bodyOf, respond } from '../../respond'

/** Gives a kitchen up; its record is kept. */
export async function DELETE(
  request: Request,
  { params }: { params: Promise<{ kitchen: string }> },
): Promise<Response> {
  const body = await bodyOf(request, BODY.small)
  return respond(removedAnswer, body.ok ? await giveUpKitchen((await params).kitchen, body.value) : body)
}
