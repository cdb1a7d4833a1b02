import { mealInKitchen, saveMeal } from '@/server/meals'
import { mealAnswer } from '@/server/wire/answers'
import { answer, refuse, saveBy } from '../../../../respond'

type Context = { params: Promise<{ kitchen: string; meal: string }> }

export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const { kitchen, meal } = await params
  const found = await mealInKitchen(kitchen, meal)
  if (!found.ok) return refuse(found.problems)
  const { row, plan, problems } = found.value
  return answer(mealAnswer, { ...row, plan, problems: [...problems] })
}

export async function PUT(request: Request, { params }: Context): Promise<Response> {
  const { kitchen, meal } = await params
  return saveBy(request, (version, document) => saveMeal(kitchen, meal, version, document))
}
