import { z } from 'zod'
import { parseWith } from '@/domain/problem/parse'
import { addMealFromDocument, addMealFromWords, mealsOfKitchen } from '@/server/meals'
import { bodyOf, respond } from '../../../respond'

type Context = { params: Promise<{ kitchen: string }> }
const newMeal = z.union([z.strictObject({ line: z.string().max(400) }), z.strictObject({ document: z.unknown() })])

export async function GET(_request: Request, { params }: Context): Promise<Response> {
  return respond(await mealsOfKitchen((await params).kitchen))
}

export async function POST(request: Request, { params }: Context): Promise<Response> {
  const { kitchen } = await params
  const body = await bodyOf(request)
  if (!body.ok) return respond(body)
  const asked = parseWith(newMeal, body.value)
  if (!asked.ok) return respond(asked)
  return respond(
    'line' in asked.value
      ? await addMealFromWords(kitchen, asked.value.line)
      : await addMealFromDocument(kitchen, asked.value.document),
    201,
  )
}
