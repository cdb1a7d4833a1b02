import { BODY } from '@/server/limits'
import { planRecord } from '@/server/record'
import { equipmentAnswer } from '@/server/wire/answers'
import { bodyOf, respond } from '../../../../respond'

/** The kitchen's own food-safety plan: whether it keeps a record, and its limits. */
export async function PUT(request: Request, { params }: { params: Promise<{ kitchen: string }> }): Promise<Response> {
  const body = await bodyOf(request, BODY.small)
  return respond(equipmentAnswer, body.ok ? await planRecord((await params).kitchen, body.value) : body)
}
