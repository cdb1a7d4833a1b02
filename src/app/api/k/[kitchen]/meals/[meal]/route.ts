import { mealInKitchen, saveMeal } from '@/server/meals'
import { respond, saveBy } from '../../../../respond'

type Context = { params: Promise<{ kitchen: string; meal: string }> }

export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const { kitchen, meal } = await params
  const found = await mealInKitchen(kitchen, meal)
  if (!found.ok) return respond(found)
  const { row, plan, problems } = found.value
  return Response.json({ id: row.id, version: row.version, document: row.document, plan, problems })
}

export async function PUT(request: Request, { params }: Context): Promise<Response> {
  const { kitchen, meal } = await params
  return saveBy(request, (version, document) => saveMeal(kitchen, meal, version, document))
}
