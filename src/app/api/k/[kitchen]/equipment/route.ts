import { BODY } from '@/server/limits'
import { keepEquipment } from '@/server/meals'
import { equipmentAnswer } from '@/server/wire/answers'
import { bodyOf, respond } from '../../../respond'

export async function PUT(request: Request, { params }: { params: Promise<{ kitchen: string }> }): Promise<Response> {
  const body = await bodyOf(request, BODY.plan)
  return respond(equipmentAnswer, body.ok ? await keepEquipment((await params).kitchen, body.value) : body)
}
