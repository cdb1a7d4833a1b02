import { unshare } from '@/server/access/addresses'
import { removedAnswer } from '@/server/wire/answers'
import { respond } from '../../../../respond'

export async function DELETE(
  _request: Request,
  { params }: { params: Promise<{ kitchen: string; address: string }> },
): Promise<Response> {
  const { kitchen, address } = await params
  return respond(removedAnswer, await unshare(kitchen, address))
}
