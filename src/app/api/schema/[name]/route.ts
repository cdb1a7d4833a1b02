import { z } from 'zod'
import { documentSchema } from '@/domain/documents'
import { schemaAnswer } from '@/server/wire/answers'
import { answer, refuse } from '../../respond'

export async function GET(_request: Request, { params }: { params: Promise<{ name: string }> }): Promise<Response> {
  const { name } = await params
  const schema = documentSchema(name)
  return schema
    ? answer(schemaAnswer, z.toJSONSchema(schema, { io: 'input' }) as Record<string, unknown>)
    : refuse([{ code: 'not_found', path: ['schema'], what: name }])
}
