import { addPlanFromDocument, addPlanFromLine, plansOfKitchen } from '@/server/plans'
import { addBy, respond } from '../../../respond'

type Context = { params: Promise<{ kitchen: string }> }

export async function GET(_request: Request, { params }: Context): Promise<Response> {
  return respond(await plansOfKitchen((await params).kitchen))
}

export async function POST(request: Request, { params }: Context): Promise<Response> {
  const { kitchen } = await params
  return addBy(
    request,
    (line) => addPlanFromLine(kitchen, line),
    (document) => addPlanFromDocument(kitchen, document),
  )
}
