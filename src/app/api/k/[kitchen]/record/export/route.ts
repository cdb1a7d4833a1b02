import { fileOf } from '@/app/file-of'
import { exportRecord } from '@/server/record'
import { refuse } from '../../../../respond'

/** The whole record with its hashes: `node bin/pheasant.mjs verify < record.json` checks it. */
export async function GET(_request: Request, { params }: { params: Promise<{ kitchen: string }> }): Promise<Response> {
  const found = await exportRecord((await params).kitchen)
  return found.ok
    ? fileOf(JSON.stringify(found.value, null, 1), 'application/json', 'record.json')
    : refuse(found.problems)
}
