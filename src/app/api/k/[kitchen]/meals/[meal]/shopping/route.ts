import { fileOf } from '@/app/file-of'
import { mealShoppingCsv } from '@/server/exports'
import { refuse } from '../../../../../respond'

type Context = { params: Promise<{ kitchen: string; meal: string }> }

export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const { kitchen, meal } = await params
  const text = await mealShoppingCsv(kitchen, meal)
  return text.ok ? fileOf(text.value, 'text/csv', 'shopping.csv') : refuse(text.problems)
}
