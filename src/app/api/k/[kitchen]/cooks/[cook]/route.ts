import { z } from 'zod'
import { parseWith } from '@/domain/problem/parse'
import { cookInKitchen, removeCook } from '@/server/cooks'
import { cookStateAnswer, removedAnswer } from '@/server/wire/answers'
import { answer, refuse, respond } from '../../../../respond'

type Context = { params: Promise<{ kitchen: string; cook: string }> }

/** Entries after a place in the log. */
const query = z.object({ since: z.coerce.number().int().min(0).max(Number.MAX_SAFE_INTEGER).default(0) })

export async function GET(request: Request, { params }: Context): Promise<Response> {
  const { kitchen, cook } = await params
  const asked = parseWith(query, Object.fromEntries(new URL(request.url).searchParams))
  if (!asked.ok) return refuse(asked.problems)
  const found = await cookInKitchen(kitchen, cook, asked.value.since)
  if (!found.ok) return refuse(found.problems)
  return answer(cookStateAnswer, { ...found.value, state: found.value.row.state })
}

export async function DELETE(_request: Request, { params }: Context): Promise<Response> {
  const { kitchen, cook } = await params
  return respond(removedAnswer, await removeCook(kitchen, cook))
}
