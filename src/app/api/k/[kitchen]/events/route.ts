import { hearChanges, openStreams } from '@/server/changes'
import { kitchenIsThere } from '@/server/there'
import { changeAnswer } from '@/server/wire/answers'
import { refuse } from '../../../respond'

export const dynamic = 'force-dynamic'
const BEAT_MS = 15_000

/** What changes in a kitchen, as server-sent events. */
export async function GET(request: Request, { params }: { params: Promise<{ kitchen: string }> }): Promise<Response> {
  const { kitchen } = await params
  const there = await kitchenIsThere(kitchen)
  if (!there.ok) return refuse(there.problems)
  const encoder = new TextEncoder()
  let end = () => {}
  const stream = new ReadableStream({
    async start(controller) {
      const send = (text: string) => {
        try {
          controller.enqueue(encoder.encode(text))
        } catch {
          end()
        }
      }
      const stop = await hearChanges(kitchen, (change) => {
        // Somebody’s way in is another: who listens asks again, and is told where it is no longer theirs.
        if (change.what === 'access') return end()
        send(`data: ${JSON.stringify(changeAnswer.parse(change))}\n\n`)
      })
      const beat = setInterval(() => send(': beat\n\n'), BEAT_MS)
      end = () => {
        if (!openStreams.delete(end)) return
        clearInterval(beat)
        stop?.()
        try {
          controller.close()
        } catch {}
      }
      openStreams.add(end)
      send('event: ready\ndata: 1\n\n')
      if (request.signal.aborted || !stop) end()
      else request.signal.addEventListener('abort', () => end(), { once: true })
    },
    cancel: () => end(),
  })
  return new Response(stream, {
    headers: {
      'content-type': 'text/event-stream',
      'cache-control': 'no-cache, no-transform',
      'x-accel-buffering': 'no',
    },
  })
}
