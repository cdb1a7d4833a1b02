import { fileOf } from '@/app/file-of'
import { recordCsv } from '@/server/record'
import { refuse } from '../../../../respond'

export async function GET(_request: Request, { params }: { params: Promise<{ kitchen: string }> }): Promise<Response> {
  const text = await recordCsv((await params).kitchen)
  return text.ok ? fileOf(text.value, 'text/csv', 'record.csv') : refuse(text.problems)
}
