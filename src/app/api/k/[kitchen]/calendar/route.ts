import { renewCalendar } from '@/server/exports'
import { calendarAnswer } from '@/server/wire/answers'
import { respond } from '../../../respond'

/** Another calendar address in place of the present one, which opens nothing from here on. */
export async function POST(_request: Request, { params }: { params: Promise<{ kitchen: string }> }): Promise<Response> {
  return respond(calendarAnswer, await renewCalendar((await params).kitchen), 201)
}
