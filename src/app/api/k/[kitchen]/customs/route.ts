import { keepCustoms } from '@/server/kitchen'
import { BODY } from '@/server/limits'
import { equipmentAnswer } from '@/server/wire/answers'
import { bodyOf, respond } from '../../../respond'

export async function PUT(request: Request, { params }: { params: Promise<{ kitchen: string }> }): Promise<Response> {
  const body = await bodyOf(request, BODY.plan)
  return respond(equipmentAnswer, body.ok ? await keepCustoms((await params).kitchen, body.value) : body)
}
