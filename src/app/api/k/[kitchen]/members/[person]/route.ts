import { putOut, setRole } from '@/server/access/people'
import { BODY } from '@/server/limits'
import { equipmentAnswer, removedAnswer } from '@/server/wire/answers'
import { bodyOf, respond } from '../../../../respond'

type Context = { params: Promise<{ kitchen: string; person: string }> }

/** Another role in this kitchen. */
export async function PUT(request: Request, { params }: Context): Promise<Response> {
  const { kitchen, person } = await params
  const body = await bodyOf(request, BODY.small)
  return respond(equipmentAnswer, body.ok ? await setRole(kitchen, person, body.value) : body)
}

export async function DELETE(_request: Request, { params }: Context): Promise<Response> {
  const { kitchen, person } = await params
  return respond(removedAnswer, await putOut(kitchen, person))
}
