import { refuse } from '@/app/api/respond'
import { kitchenCalendar } from '@/server/exports'

/** The private subscription address of a kitchen's tasks. */
export async function GET(_request: Request, { params }: { params: Promise<{ token: string }> }): Promise<Response> {
  const text = await kitchenCalendar((await params).token)
  if (!text.ok) return refuse(text.problems)
  return new Response(text.value, {
    headers: { 'content-type': 'text/calendar; charset=utf-8', 'cache-control': 'no-store' },
  })
}
