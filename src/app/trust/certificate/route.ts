import { readFile } from 'node:fs/promises'
import { refuse } from '@/app/api/respond'

/** The certificate of this installation's own authority, for a tablet to trust: nothing secret is in it. */
export async function GET(): Promise<Response> {
  const path = process.env.PHEASANT_AUTHORITY
  const text = path ? await readFile(path, 'utf8').catch(() => undefined) : undefined
  return text === undefined
    ? refuse([{ code: 'not_found', path: [], what: 'certificate' }])
    : new Response(text, {
        headers: {
          'content-type': 'application/x-x509-ca-cert',
          'content-disposition': 'attachment; filename="pheasant-authority.pem"',
        },
      })
}
