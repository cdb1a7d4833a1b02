import { settleSetAside } from '@/server/plans'
import { settledAnswer } from '@/server/wire/answers'
import { respond } from '../../../../../../respond'

export async function POST(
  _request: Request,
  { params }: { params: Promise<{ kitchen: string; plan: string; version: string }> },
): Promise<Response> {
  const { kitchen, plan, version } = await params
  return respond(settledAnswer, await settleSetAside(kitchen, plan, version))
}
