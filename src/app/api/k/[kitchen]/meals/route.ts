import { BODY } from '@/server/limits'
import { addMealFromDocument, addMealFromWords, mealsOfKitchen } from '@/server/meals'
import { mealListAnswer, mealRowAnswer } from '@/server/wire/answers'
import { addBy, pageOf, respond } from '../../../respond'

type Context = { params: Promise<{ kitchen: string }> }

export async function GET(request: Request, { params }: Context): Promise<Response> {
  const page = pageOf(request)
  return respond(mealListAnswer, page.ok ? await mealsOfKitchen((await params).kitchen, page.value) : page)
}

export async function POST(request: Request, { params }: Context): Promise<Response> {
  const { kitchen } = await params
  return addBy(
    request,
    BODY.meal,
    mealRowAnswer,
    (line) => addMealFromWords(kitchen, line),
    (document) => addMealFromDocument(kitchen, document),
  )
}
