import { takeReadings } from '@/server/cooks'
import { BODY } from '@/server/limits'
import { readingsAnswer } from '@/server/wire/answers'
import { bodyOf, refuse, respond } from '../respond'

/** Probe readings: `Authorization: Bearer TOKEN`, a batch as in docs/probes.md. */
export async function POST(request: Request): Promise<Response> {
  const token = request.headers.get('authorization')?.match(/^Bearer (.+)$/)?.[1]
  if (!token)
    return refuse(
      [{ code: 'malformed', path: ['authorization'], detail: 'send Authorization: Bearer and the device’s token' }],
      401,
    )
  const body = await bodyOf(request, BODY.readings)
  return respond(readingsAnswer, body.ok ? await takeReadings(token, body.value) : body, 202)
}
