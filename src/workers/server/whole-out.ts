import { createHash, type Hash } from 'node:crypto'
import { createWriteStream } from 'node:fs'
import { Readable, Transform } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import Papa from 'papaparse'
import { ZipFile } from 'yazl'
import { openDatabase } from '@/db/connection'
import { recordShelf } from '@/db/record'
import { openKitchen } from '@/db/repositories'
import { storyShelf } from '@/db/stories'
import { wholeKitchen } from '@/db/whole'
import { within } from '@/db/within'
import { fail, type Outcome, succeed } from '@/domain/problem/problem'
import { type CookFile, type Manifest, type PlanFile, WHOLE_FORMAT } from '@/domain/whole/whole'

/** Writes a whole kitchen into one ZIP file, part by part, each with its SHA-256 in the list that closes it. */

const README = `A whole kitchen, as Pheasant keeps it.

manifest.json   everything in here with its size and SHA-256
kitchen.json    name, time zone, units, ovens, food-safety plan
house.json      its own cuts, programs, ways and standards
plans/          plans and meals with all their versions
cooks/          cooks with everything that was said of them
devices.json    probes by name; readings/ has what each read, as CSV
photos.json     pictures in photos/, and of what they are
record.json     the food-safety record with its hashes: node bin/pheasant.mjs verify < record.json
logbook.csv     one line for each cook that is over, to look at; the rest is made anew from the above
`

const iso = (date: Date | null) => date?.toISOString() ?? null

/** The ZIP as it grows: what goes into it is hashed on the way. */
function hashedZip() {
  const zip = new ZipFile()
  const files: { path: string; bytes: number; sha256: string }[] = []
  const hashing = (path: string) => {
    const hash: Hash = createHash('sha256')
    let bytes = 0
    return new Transform({
      transform(chunk: Buffer, _encoding, done) {
        hash.update(chunk)
        bytes += chunk.length
        done(null, chunk)
      },
      flush(done) {
        files.push({ path, bytes, sha256: hash.digest('hex') })
        done()
      },
    })
  }
  return {
    zip,
    files,
    add: (path: string, content: string | Buffer) => {
      const bytes = Buffer.from(content as string)
      files.push({ path, bytes: bytes.length, sha256: createHash('sha256').update(bytes).digest('hex') })
      zip.addBuffer(bytes, path)
    },
    /** Waits until it is written: only one part is on its way at a time. */
    stream: (path: string, source: AsyncIterable<string>) =>
      new Promise<void>((done, wrong) => {
        zip.addReadStreamLazy(path, (give) => {
          const hashed = hashing(path)
          pipeline(Readable.from(source), hashed).then(done, wrong)
          give(null, hashed)
        })
      }),
  }
}

export interface WholeOut {
  readonly bytes: number
  readonly files: number
}

/** @param path of the file that is written */
export async function writeWhole({
  slug,
  path,
  made,
}: {
  readonly slug: string
  readonly path: string
  readonly made: string
}): Promise<Outcome<WholeOut>> {
  const { db, close } = openDatabase(process.env.DATABASE_URL as string)
  try {
    const scope = await openKitchen(db, slug)
    if (!scope) return fail({ code: 'not_found', path: ['kitchen'], what: slug })
    const { kitchen } = scope
    const whole = wholeKitchen(within(db, kitchen.id), kitchen)
    const { zip, files, add, stream } = hashedZip()
    const written = pipeline(zip.outputStream, createWriteStream(path))
    written.catch(() => {})
    const json = (value: unknown) => `${JSON.stringify(value, null, 1)}\n`

    add('README.txt', README)
    add(
      'kitchen.json',
      json({
        name: kitchen.name,
        time_zone: kitchen.timeZone,
        customs: {
          temperature: kitchen.temperatureUnit === 'f' ? 'f' : 'c',
          mass: kitchen.massUnit,
          clock: kitchen.clock,
          date_order: kitchen.dateOrder,
        },
        equipment: kitchen.equipment,
        record_plan: kitchen.recordPlan,
        learning_off: kitchen.learningOff,
      }),
    )
    add('house.json', json({ items: (await scope.listHouseItems()).map(({ document }) => document) }))
    for await (const row of whole.plans()) {
      const file: PlanFile = {
        id: row.id,
        kind: row.kind,
        version: row.version,
        created_at: row.createdAt.toISOString(),
        archived_at: iso(row.archivedAt),
        document: row.document,
        versions: (await whole.versions(row.id)).map(({ id, version, state, createdAt, settledAt, document }) => ({
          id,
          version,
          state,
          created_at: createdAt.toISOString(),
          settled_at: iso(settledAt),
          document,
        })),
      }
      add(`plans/${row.id}.json`, json(file))
    }
    for await (const row of whole.cooks()) {
      const file: CookFile = {
        id: row.id,
        state: row.state,
        created_at: row.createdAt.toISOString(),
        archived_at: iso(row.archivedAt),
        document: row.document,
        entries: (await whole.entries(row.id)).map(({ entry, receivedAt }) => ({
          received_at: receivedAt.toISOString(),
          entry,
        })),
      }
      add(`cooks/${row.id}.json`, json(file))
    }
    const devices = await whole.devices()
    add(
      'devices.json',
      json(devices.map(({ id, name, createdAt }) => ({ id, name, created_at: createdAt.toISOString() }))),
    )
    const photos: unknown[] = []
    for await (const { id, cookId, item, at, picture } of whole.photos()) {
      photos.push({ id, cook: cookId, item, at: at.toISOString(), file: `photos/${id}.webp` })
      add(`photos/${id}.webp`, picture)
    }
    add('photos.json', json(photos))
    add('record.json', json({ kitchen: kitchen.name, exported: made, chain: await recordShelf(db, kitchen).all() }))
    const { stories } = await storyShelf(db, kitchen).list({}, { limit: 100_000, offset: 0 })
    add(
      'logbook.csv',
      Papa.unparse(
        stories.map(({ servedAt, title, guests, verdict, lateMin, items }) => ({
          served: servedAt.toISOString(),
          title,
          guests: guests ?? '',
          roasts: items.map((each) => `${each.cut_name} ${each.mass_kg} kg`).join('; '),
          verdict: verdict ?? '',
          late_min: lateMin ?? '',
        })),
        { escapeFormulae: true },
      ),
    )
    for (const { id } of devices) await stream(`readings/${id}.csv`, readingLines(whole.readings(id)))
    const manifest: Manifest = { format: WHOLE_FORMAT, version: 1, made, kitchen: kitchen.name, files }
    zip.addBuffer(Buffer.from(json(manifest)), 'manifest.json')
    zip.end()
    await written
    return succeed({ bytes: files.reduce((sum, { bytes }) => sum + bytes, 0), files: files.length })
  } finally {
    await close()
  }
}

async function* readingLines(parts: ReturnType<ReturnType<typeof wholeKitchen>['readings']>): AsyncGenerator<string> {
  yield 'session,channel,seq,at,device_at,value_c\n'
  for await (const rows of parts)
    yield `${Papa.unparse(
      rows.map(({ session, channel, seq, at, deviceAt, valueC }) => [
        session,
        channel,
        seq,
        at.toISOString(),
        deviceAt.toISOString(),
        valueC,
      ]),
      { newline: '\n' },
    )}\n`
}
