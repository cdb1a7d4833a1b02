import { refuse } from '@/app/api/respond'
import { calendarAt } from '@/server/access/addresses'

/** The private subscription address of a kitchen's tasks. */
export async function GET(_request: Request, { params }: { params: Promise<{ token: string }> }): Promise<Response> {
  const text = await calendarAt((await params).token)
  if (!text.ok) return refuse(text.problems)
  return new Response(text.value, {
    headers: { 'content-type': 'text/calendar; charset=utf-8', 'cache-control': 'no-store' },
  })
}
