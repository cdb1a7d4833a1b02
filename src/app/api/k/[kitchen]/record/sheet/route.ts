import { daySheet } from '@/server/record'
import { refuse } from '../../../../respond'

/** A day of the record as a PDF to sign: the day of `day`, or today. */
export async function GET(request: Request, { params }: { params: Promise<{ kitchen: string }> }): Promise<Response> {
  const day = new URL(request.url).searchParams.get('day') ?? undefined
  const sheet = await daySheet((await params).kitchen, day)
  if (!sheet.ok) return refuse(sheet.problems)
  return new Response(new Uint8Array(sheet.value), {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': 'inline; filename="record.pdf"',
      'cache-control': 'no-store',
    },
  })
}
