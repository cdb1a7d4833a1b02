import { createHash, randomUUID } from 'node:crypto'
import { createReadStream } from 'node:fs'
import { appendFile, mkdir, readdir, rm, stat, truncate } from 'node:fs/promises'
import { join } from 'node:path'
import { z } from 'zod'
import { parseWith } from '@/domain/problem/parse'
import { fail, type Outcome, succeed } from '@/domain/problem/problem'
import { ident } from '@/domain/schema/scalars'
import type { WholeReport } from '@/domain/whole/whole'
import { keepTrail } from './access/trail'
import { nowSeconds } from './environment'
import { onFiles } from './file-work'
import { inKitchen } from './kitchen'
import { BROUGHT } from './limits'

/** A whole kitchen out as one file, and in from one: sent in parts, looked at, then taken. */

/** Files on their way; what nobody fetched is gone after a day. */
const folder = () => join(process.env.PHEASANT_DATA ?? join(process.cwd(), '.data'), 'on-the-way')
const DAY_MS = 24 * 3600_000

async function tidied(): Promise<string> {
  await mkdir(folder(), { recursive: true })
  for (const name of await readdir(folder())) {
    const path = join(folder(), name)
    const age_ms = Date.now() - ((await stat(path).catch(() => undefined))?.mtimeMs ?? 0)
    if (age_ms > DAY_MS) await rm(path, { force: true })
  }
  return folder()
}

/** The whole kitchen as a file: its stream and its size; gone when it has been sent. */
export const wholeFile = async (
  slug: string,
): Promise<Outcome<{ readonly stream: ReadableStream<Uint8Array>; readonly bytes: number; readonly name: string }>> => {
  const there = await inKitchen(slug, 'whole', async (scope) => {
    await keepTrail(scope, 'exported', '', { name: 'the whole kitchen' })
    return succeed(scope.kitchen)
  })
  if (!there.ok) return there
  const path = join(await tidied(), `out-${randomUUID()}.zip`)
  const made = new Date(nowSeconds() * 1000).toISOString()
  const done = await onFiles('writeWhole', { slug, path, made })
  const written = done.ok ? done.value : done
  if (!written.ok) {
    await rm(path, { force: true })
    return written
  }
  const { size } = await stat(path)
  const file = createReadStream(path)
  file.once('close', () => void rm(path, { force: true }))
  const chunks = file[Symbol.asyncIterator]()
  return succeed({
    bytes: size,
    name: `${slug}-${made.slice(0, 10)}.zip`,
    stream: new ReadableStream<Uint8Array>({
      pull: async (to) => {
        const { done, value } = await chunks.next()
        if (done) to.close()
        else to.enqueue(new Uint8Array(value as Buffer))
      },
      cancel: () => {
        file.destroy()
      },
    }),
  })
}

const partQuery = z.object({ file: ident(40, 8), from: z.coerce.number().int().min(0).max(BROUGHT.most) })
/** Nobody finds another kitchen's file by its name. */
const broughtAt = async (slug: string, file: string) =>
  join(await tidied(), `in-${createHash('sha256').update(`${slug}\n${file}`).digest('hex').slice(0, 32)}.zip`)

/** Keeps one part of a file that is brought in; sent again from an earlier place it is kept from there. */
export const bringPart = (slug: string, query: unknown, part: Buffer): Promise<Outcome<{ readonly bytes: number }>> =>
  inKitchen(slug, 'whole', async () => {
    const asked = parseWith(partQuery, query)
    if (!asked.ok) return asked
    const { file, from } = asked.value
    if (from + part.length > BROUGHT.most) return fail({ code: 'too_large', path: [], most_bytes: BROUGHT.most })
    const path = await broughtAt(slug, file)
    const { size } = (await stat(path).catch(() => undefined)) ?? { size: 0 }
    if (from > size) return fail({ code: 'malformed', path: ['from'], detail: `so far ${size} bytes of it are here` })
    if (from < size) await truncate(path, from)
    await appendFile(path, part)
    return succeed({ bytes: from + part.length })
  })

const takeQuery = z.strictObject({ file: ident(40, 8), take: z.boolean() })

/** Says what taking a file in would do, or takes it in. */
export async function takeFile(slug: string, value: unknown): Promise<Outcome<WholeReport>> {
  const asked = parseWith(takeQuery, value)
  const there = await inKitchen(slug, 'whole', async (scope) => {
    if (asked.ok && asked.value.take) await keepTrail(scope, 'brought_in', '')
    return succeed(true)
  })
  if (!there.ok) return there
  if (!asked.ok) return asked
  const path = await broughtAt(slug, asked.value.file)
  if (!(await stat(path).catch(() => undefined)))
    return fail({ code: 'not_found', path: ['file'], what: asked.value.file })
  const done = await onFiles('takeWhole', { slug, path, take: asked.value.take })
  const taken = done.ok ? done.value : done
  if (taken.ok && asked.value.take) await rm(path, { force: true })
  return taken
}
