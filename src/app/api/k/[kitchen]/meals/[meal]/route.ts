import { BODY } from '@/server/limits'
import { mealInKitchen, saveMeal } from '@/server/meals'
import { removeDocument } from '@/server/plans'
import { mealAnswer, removedAnswer } from '@/server/wire/answers'
import { answer, refuse, respond, saveBy } from '../../../../respond'

type Context = { params: Promise<{ kitchen: string; meal: string }> }

export async function GET(request: Request, { params }: Context): Promise<Response> {
  const { kitchen, meal } = await params
  const found = await mealInKitchen(kitchen, meal, request.signal)
  if (!found.ok) return refuse(found.problems)
  const { row, plan, problems } = found.value
  return answer(mealAnswer, { ...row, plan, problems: [...problems] })
}

export async function PUT(request: Request, { params }: Context): Promise<Response> {
  const { kitchen, meal } = await params
  return saveBy(request, BODY.meal, (version, document) => saveMeal(kitchen, meal, version, document))
}

export async function DELETE(_request: Request, { params }: Context): Promise<Response> {
  const { kitchen, meal } = await params
  return respond(removedAnswer, await removeDocument(kitchen, 'meal', meal))
}
