import { atTheStove } from '@/server/access/people'
import { BODY } from '@/server/limits'
import { stoveAnswer } from '@/server/wire/answers'
import { bodyOf, respond } from '../../../respond'

/** Who is at the stove, on a tablet that many use. */
export async function POST(request: Request, { params }: { params: Promise<{ kitchen: string }> }): Promise<Response> {
  const body = await bodyOf(request, BODY.small)
  return respond(stoveAnswer, body.ok ? await atTheStove((await params).kitchen, body.value) : body)
}
