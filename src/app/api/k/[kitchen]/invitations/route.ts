import { invite } from '@/server/access/people'
import { BODY } from '@/server/limits'
import { handedAnswer } from '@/server/wire/answers'
import { bodyOf, respond } from '../../../respond'

/** A way in for a person or a tablet; its secret is answered this once. */
export async function POST(request: Request, { params }: { params: Promise<{ kitchen: string }> }): Promise<Response> {
  const body = await bodyOf(request, BODY.small)
  return respond(handedAnswer, body.ok ? await invite((await params).kitchen, body.value) : body, 201)
}
