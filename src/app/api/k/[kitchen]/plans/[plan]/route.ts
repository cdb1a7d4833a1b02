import { BODY } from '@/server/limits'
import { planInKitchen, removeDocument, savePlan } from '@/server/plans'
import { planAnswer, removedAnswer } from '@/server/wire/answers'
import { answer, refuse, respond, saveBy } from '../../../../respond'

type Context = { params: Promise<{ kitchen: string; plan: string }> }

export async function GET(request: Request, { params }: Context): Promise<Response> {
  const { kitchen, plan } = await params
  const found = await planInKitchen(kitchen, plan, request.signal)
  if (!found.ok) return refuse(found.problems)
  const { row, plan: made } = found.value
  return answer(planAnswer, { ...row, plan: made })
}

export async function PUT(request: Request, { params }: Context): Promise<Response> {
  const { kitchen, plan } = await params
  return saveBy(request, BODY.plan, (version, document) => savePlan(kitchen, plan, version, document))
}

export async function DELETE(_request: Request, { params }: Context): Promise<Response> {
  const { kitchen, plan } = await params
  return respond(removedAnswer, await removeDocument(kitchen, 'plan', plan))
}
