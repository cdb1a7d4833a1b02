import { addEntries } from '@/server/cooks'
import { BODY } from '@/server/limits'
import { entriesAnswer } from '@/server/wire/answers'
import { bodyOf, respond } from '../../../../../respond'

type Context = { params: Promise<{ kitchen: string; cook: string }> }

export async function POST(request: Request, { params }: Context): Promise<Response> {
  const { kitchen, cook } = await params
  const body = await bodyOf(request, BODY.entries)
  return respond(entriesAnswer, body.ok ? await addEntries(kitchen, cook, body.value) : body, 201)
}
