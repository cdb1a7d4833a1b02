import { z } from 'zod'
import { parseWith } from '@/domain/problem/parse'
import { addPlanFromDocument, addPlanFromLine, plansOfKitchen } from '@/server/plans'
import { bodyOf, respond } from '../../../respond'

type Context = { params: Promise<{ kitchen: string }> }
const newPlan = z.union([z.strictObject({ line: z.string().max(400) }), z.strictObject({ document: z.unknown() })])

export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const { kitchen } = await params
  return respond(await plansOfKitchen(kitchen))
}

export async function POST(request: Request, { params }: Context): Promise<Response> {
  const { kitchen } = await params
  const body = await bodyOf(request)
  if (!body.ok) return respond(body)
  const asked = parseWith(newPlan, body.value)
  if (!asked.ok) return respond(asked)
  return respond(
    'line' in asked.value
      ? await addPlanFromLine(kitchen, asked.value.line)
      : await addPlanFromDocument(kitchen, asked.value.document),
    201,
  )
}
