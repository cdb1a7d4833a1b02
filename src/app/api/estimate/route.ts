import { estimateDocument, estimateFrom } from '@/domain/cook/estimate-document'
import { parseWith } from '@/domain/problem/parse'
import { headlessAnswer } from '@/server/wire/answers'
import { bodyOf, refuse, respond } from '../respond'

export async function POST(request: Request): Promise<Response> {
  const body = await bodyOf(request)
  if (!body.ok) return refuse(body.problems)
  const document = parseWith(estimateDocument, body.value)
  return respond(headlessAnswer, document.ok ? estimateFrom(document.value) : document)
}
