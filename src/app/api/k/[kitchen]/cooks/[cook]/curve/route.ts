import { fileOf } from '@/app/file-of'
import { curveCsv } from '@/server/logbook'
import { refuse } from '../../../../../respond'

type Context = { params: Promise<{ kitchen: string; cook: string }> }

/** A cook's curves as CSV: core as planned and as read, by minutes since put-in. */
export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const { kitchen, cook } = await params
  const text = await curveCsv(kitchen, cook)
  return text.ok ? fileOf(text.value, 'text/csv', 'curve.csv') : refuse(text.problems)
}
