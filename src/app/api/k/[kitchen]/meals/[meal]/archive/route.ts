import { archiveDocument } from '@/server/plans'
import { archiveBy } from '../../../../../respond'

type Context = { params: Promise<{ kitchen: string; meal: string }> }

export async function POST(request: Request, { params }: Context): Promise<Response> {
  const { kitchen, meal } = await params
  return archiveBy(request, (away) => archiveDocument(kitchen, 'meal', meal, away))
}
