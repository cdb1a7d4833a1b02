import { parseWith } from '@/domain/problem/parse'
import { simulateDocument } from '@/domain/roast/roast-document'
import { simulate } from '@/domain/roast/simulate'
import { bodyOf, respond } from '../respond'

export async function POST(request: Request): Promise<Response> {
  const body = await bodyOf(request)
  if (!body.ok) return respond(body)
  const document = parseWith(simulateDocument, body.value)
  return respond(document.ok ? simulate(document.value) : document)
}
