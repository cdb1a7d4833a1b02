import { cookInKitchen } from '@/server/cooks'
import { cookStateAnswer } from '@/server/wire/answers'
import { answer, refuse } from '../../../../respond'

type Context = { params: Promise<{ kitchen: string; cook: string }> }

export async function GET(request: Request, { params }: Context): Promise<Response> {
  const { kitchen, cook } = await params
  const since = Number(new URL(request.url).searchParams.get('since') ?? 0)
  const found = await cookInKitchen(kitchen, cook, Number.isFinite(since) ? since : 0)
  if (!found.ok) return refuse(found.problems)
  return answer(cookStateAnswer, { ...found.value, state: found.value.row.state })
}
