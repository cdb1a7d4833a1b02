import { parseWith } from '@/domain/problem/parse'
import { simulateDocument } from '@/domain/roast/roast-document'
import { simulate } from '@/domain/roast/simulate'
import { headlessAnswer } from '@/server/wire/answers'
import { bodyOf, refuse, respond } from '../respond'

export async function POST(request: Request): Promise<Response> {
  const body = await bodyOf(request)
  if (!body.ok) return refuse(body.problems)
  const document = parseWith(simulateDocument, body.value)
  return respond(headlessAnswer, document.ok ? simulate(document.value) : document)
}
