import { addMealFromDocument, addMealFromWords, mealsOfKitchen } from '@/server/meals'
import { mealListAnswer, mealRowAnswer } from '@/server/wire/answers'
import { addBy, respond } from '../../../respond'

type Context = { params: Promise<{ kitchen: string }> }

export async function GET(_request: Request, { params }: Context): Promise<Response> {
  return respond(mealListAnswer, await mealsOfKitchen((await params).kitchen))
}

export async function POST(request: Request, { params }: Context): Promise<Response> {
  const { kitchen } = await params
  return addBy(
    request,
    mealRowAnswer,
    (line) => addMealFromWords(kitchen, line),
    (document) => addMealFromDocument(kitchen, document),
  )
}
