import { cookAgain } from '@/server/again'
import { BODY } from '@/server/limits'
import { lineAnswer } from '@/server/wire/answers'
import { bodyOf, respond } from '../../../../../respond'

type Context = { params: Promise<{ kitchen: string; cook: string }> }

/** Plans a cook again: 201 with whether it is a plan or a meal, and its id. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  const { kitchen, cook } = await params
  const body = await bodyOf(request, BODY.small)
  return respond(lineAnswer, body.ok ? await cookAgain(kitchen, cook, body.value) : body, 201)
}
