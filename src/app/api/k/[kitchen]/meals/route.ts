import { addMealFromDocument, addMealFromWords, mealsOfKitchen } from '@/server/meals'
import { addBy, respond } from '../../../respond'

type Context = { params: Promise<{ kitchen: string }> }

export async function GET(_request: Request, { params }: Context): Promise<Response> {
  return respond(await mealsOfKitchen((await params).kitchen))
}

export async function POST(request: Request, { params }: Context): Promise<Response> {
  const { kitchen } = await params
  return addBy(
    request,
    (line) => addMealFromWords(kitchen, line),
    (document) => addMealFromDocument(kitchen, document),
  )
}
