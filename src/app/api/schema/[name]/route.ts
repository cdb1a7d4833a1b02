import { z } from 'zod'
import { DOCUMENTS } from '@/domain/roast/roast-document'
import { refuse } from '../../respond'

export async function GET(_request: Request, { params }: { params: Promise<{ name: string }> }): Promise<Response> {
  const { name } = await params
  const schema = DOCUMENTS[name as keyof typeof DOCUMENTS]
  return schema
    ? Response.json(z.toJSONSchema(schema, { io: 'input' }))
    : refuse([{ code: 'not_found', path: ['schema'], what: name }])
}
