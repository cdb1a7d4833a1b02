import { archiveDocument } from '@/server/plans'
import { archiveBy } from '../../../../../respond'

type Context = { params: Promise<{ kitchen: string; plan: string }> }

export async function POST(request: Request, { params }: Context): Promise<Response> {
  const { kitchen, plan } = await params
  return archiveBy(request, (away) => archiveDocument(kitchen, 'plan', plan, away))
}
