import { openAnother } from '@/server/access/people'
import { BODY } from '@/server/limits'
import { kitchenAnswer } from '@/server/wire/answers'
import { bodyOf, respond } from '../respond'

/** Another kitchen, for whoever has one. */
export async function POST(request: Request): Promise<Response> {
  const body = await bodyOf(request, BODY.small)
  return respond(kitchenAnswer, body.ok ? await openAnother(body.value) : body, 201)
}
