import { cookInKitchen } from '@/server/cooks'
import { respond } from '../../../../respond'

type Context = { params: Promise<{ kitchen: string; cook: string }> }

export async function GET(request: Request, { params }: Context): Promise<Response> {
  const { kitchen, cook } = await params
  const since = Number(new URL(request.url).searchParams.get('since') ?? 0)
  const found = await cookInKitchen(kitchen, cook, Number.isFinite(since) ? since : 0)
  if (!found.ok) return respond(found)
  const { entries, readings, devices, now_s, row } = found.value
  return Response.json({ entries, readings, devices, now_s, state: row.state })
}
