import { BODY } from '@/server/limits'
import { enterRecord } from '@/server/record'
import { recordKeptAnswer } from '@/server/wire/answers'
import { bodyOf, respond } from '../../../respond'

type Context = { params: Promise<{ kitchen: string }> }

/** Adds to the food-safety record: 201 with what is kept, each in its place of the chain. */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  const body = await bodyOf(request, BODY.plan)
  return respond(recordKeptAnswer, body.ok ? await enterRecord((await params).kitchen, body.value) : body, 201)
}
