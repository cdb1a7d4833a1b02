import { estimateAnswer, estimateDocument, estimateFrom } from '@/domain/cook/estimate-document'
import { parseWith } from '@/domain/problem/parse'
import { bodyOf, refuse, respond } from '../respond'

export async function POST(request: Request): Promise<Response> {
  const body = await bodyOf(request)
  if (!body.ok) return refuse(body.problems)
  const document = parseWith(estimateDocument, body.value)
  return respond(estimateAnswer, document.ok ? estimateFrom(document.value) : document)
}
