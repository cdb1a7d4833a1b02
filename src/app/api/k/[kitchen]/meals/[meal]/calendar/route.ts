import { fileOf } from '@/app/file-of'
import { mealCalendar } from '@/server/exports'
import { refuse } from '../../../../../respond'

type Context = { params: Promise<{ kitchen: string; meal: string }> }

export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const { kitchen, meal } = await params
  const text = await mealCalendar(kitchen, meal)
  return text.ok ? fileOf(text.value, 'text/calendar', 'meal.ics') : refuse(text.problems)
}
