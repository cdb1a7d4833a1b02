import { BODY } from '@/server/limits'
import { addPlanFromDocument, addPlanFromLine, plansOfKitchen } from '@/server/plans'
import { planListAnswer, planRowAnswer } from '@/server/wire/answers'
import { addBy, pageOf, respond } from '../../../respond'

type Context = { params: Promise<{ kitchen: string }> }

export async function GET(request: Request, { params }: Context): Promise<Response> {
  const page = pageOf(request)
  return respond(planListAnswer, page.ok ? await plansOfKitchen((await params).kitchen, page.value) : page)
}

export async function POST(request: Request, { params }: Context): Promise<Response> {
  const { kitchen } = await params
  return addBy(
    request,
    BODY.plan,
    planRowAnswer,
    (line) => addPlanFromLine(kitchen, line),
    (document) => addPlanFromDocument(kitchen, document),
  )
}
