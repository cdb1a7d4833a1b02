import { archiveCook } from '@/server/cooks'
import { archiveBy } from '../../../../../respond'

type Context = { params: Promise<{ kitchen: string; cook: string }> }

export async function POST(request: Request, { params }: Context): Promise<Response> {
  const { kitchen, cook } = await params
  return archiveBy(request, (away) => archiveCook(kitchen, cook, away))
}
