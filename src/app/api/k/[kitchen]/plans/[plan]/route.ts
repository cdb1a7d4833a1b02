import { planInKitchen, savePlan } from '@/server/plans'
import { planAnswer } from '@/server/wire/answers'
import { answer, refuse, saveBy } from '../../../../respond'

type Context = { params: Promise<{ kitchen: string; plan: string }> }

export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const { kitchen, plan } = await params
  const found = await planInKitchen(kitchen, plan)
  if (!found.ok) return refuse(found.problems)
  const { row, made } = found.value
  return answer(planAnswer, { ...row, plan: made.plan })
}

export async function PUT(request: Request, { params }: Context): Promise<Response> {
  const { kitchen, plan } = await params
  return saveBy(request, (version, document) => savePlan(kitchen, plan, version, document))
}
