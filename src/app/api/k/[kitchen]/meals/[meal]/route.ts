import { mealInKitchen, saveMeal } from '@/server/meals'
import { bodyOf, readChange, refuseStale, respond } from '../../../../respond'

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
  const asked = readChange(await bodyOf(request))
  if (!asked.ok) return respond(asked)
  const { base_version, document } = asked.value
  const saved = await saveMeal(kitchen, meal, base_version, document)
  return saved.ok && saved.value.outcome === 'stale'
    ? refuseStale(base_version, saved.value.current, saved.value.setAside.id)
    : respond(saved)
}
