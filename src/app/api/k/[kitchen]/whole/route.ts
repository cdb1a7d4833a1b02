import { wholeFile } from '@/server/whole'
import { refuse } from '../../../respond'

/** The whole kitchen as one ZIP file. */
export async function GET(_request: Request, { params }: { params: Promise<{ kitchen: string }> }): Promise<Response> {
  const file = await wholeFile((await params).kitchen)
  if (!file.ok) return refuse(file.problems)
  const { stream, bytes, name } = file.value
  return new Response(stream, {
    headers: {
      'content-type': 'application/zip',
      'content-length': String(bytes),
      'content-disposition': `attachment; filename="${name}"`,
      'cache-control': 'no-store',
    },
  })
}
