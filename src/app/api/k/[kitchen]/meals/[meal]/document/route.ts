import { fileOf } from '@/app/file-of'
import { mealJson } from '@/server/exports'
import { refuse } from '../../../../../respond'

type Context = { params: Promise<{ kitchen: string; meal: string }> }

export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const { kitchen, meal } = await params
  const found = await mealJson(kitchen, meal)
  return found.ok
    ? fileOf(`${JSON.stringify(found.value, null, 2)}\n`, 'application/json', 'meal.json')
    : refuse(found.problems)
}
