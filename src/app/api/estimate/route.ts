import { estimateDocument, estimateFrom } from '@/domain/cook/estimate-document'
import { parseWith } from '@/domain/problem/parse'
import { bodyOf, respond } from '../respond'

export async function POST(request: Request): Promise<Response> {
  const body = await bodyOf(request)
  if (!body.ok) return respond(body)
  const document = parseWith(estimateDocument, body.value)
  return respond(document.ok ? estimateFrom(document.value) : document)
}
