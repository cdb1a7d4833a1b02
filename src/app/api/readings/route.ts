import { takeReadings } from '@/server/cooks'
import { bodyOf, respond } from '../respond'

/** Probe readings: `Authorization: Bearer TOKEN`, a batch as in docs/probes.md. */
export async function POST(request: Request): Promise<Response> {
  const token = request.headers.get('authorization')?.match(/^Bearer (.+)$/)?.[1]
  if (!token)
    return Response.json(
      {
        errors: [
          { code: 'malformed', path: ['authorization'], detail: 'send Authorization: Bearer and the device’s token' },
        ],
      },
      { status: 401 },
    )
  const body = await bodyOf(request)
  return respond(body.ok ? await takeReadings(token, body.value) : body, 202)
}
