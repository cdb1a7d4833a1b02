import { revokeDevice } from '@/server/cooks'
import { removedAnswer } from '@/server/wire/answers'
import { respond } from '../../../../respond'

/** Takes a device's token back. */
export async function DELETE(
  _request: Request,
  { params }: { params: Promise<{ kitchen: string; device: string }> },
): Promise<Response> {
  const { kitchen, device } = await params
  return respond(removedAnswer, await revokeDevice(kitchen, device))
}
