import { z } from 'zod'
import { LONGEST_LINE } from '@/domain/line/tokens'
import { parseWith } from '@/domain/problem/parse'
import { text } from '@/domain/schema/scalars'
import { BODY } from '@/server/limits'
import { addFromLine, warmReading } from '@/server/lines'
import { lineAnswer } from '@/server/wire/answers'
import { bodyOf, refuse, respond } from '../../../respond'

const lineBody = z.strictObject({ line: text(LONGEST_LINE) })

// Loaded before anybody types (bin/serve.mjs), the first line is read as quickly as the next.
warmReading()

/** Adds what a typed line stands for: 201 with whether it is a plan or a meal, and its id. */
export async function POST(request: Request, { params }: { params: Promise<{ kitchen: string }> }): Promise<Response> {
  const body = await bodyOf(request, BODY.small)
  const asked = body.ok ? parseWith(lineBody, body.value) : body
  if (!asked.ok) return refuse(asked.problems)
  return respond(lineAnswer, await addFromLine((await params).kitchen, asked.value.line), 201)
}
