import { addPlanFromDocument, addPlanFromLine, plansOfKitchen } from '@/server/plans'
import { planListAnswer, planRowAnswer } from '@/server/wire/answers'
import { addBy, respond } from '../../../respond'

type Context = { params: Promise<{ kitchen: string }> }

export async function GET(_request: Request, { params }: Context): Promise<Response> {
  return respond(planListAnswer, await plansOfKitchen((await params).kitchen))
}

export async function POST(request: Request, { params }: Context): Promise<Response> {
  const { kitchen } = await params
  return addBy(
    request,
    planRowAnswer,
    (line) => addPlanFromLine(kitchen, line),
    (document) => addPlanFromDocument(kitchen, document),
  )
}
