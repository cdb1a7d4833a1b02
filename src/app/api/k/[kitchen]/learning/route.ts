import { switchLearning } from '@/server/learned'
import { BODY } from '@/server/limits'
import { equipmentAnswer } from '@/server/wire/answers'
import { bodyOf, respond } from '../../../respond'

/** Has plans go by one lesson of the kitchen's cooks, or do without it. */
export async function PUT(request: Request, { params }: { params: Promise<{ kitchen: string }> }): Promise<Response> {
  const body = await bodyOf(request, BODY.small)
  return respond(equipmentAnswer, body.ok ? await switchLearning((await params).kitchen, body.value) : body)
}
