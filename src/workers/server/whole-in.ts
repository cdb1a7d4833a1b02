import { createHash, randomBytes } from 'node:crypto'
import { isDeepStrictEqual } from 'node:util'
import Papa from 'papaparse'
import { type Entry, openPromise, type ZipFile } from 'yauzl'
import type { z } from 'zod'
import { openDatabase } from '@/db/connection'
import { type KitchenScope, openKitchen, PLAN_KINDS } from '@/db/repositories'
import { intake } from '@/db/whole'
import { within } from '@/db/within'
import { houseItemDocument } from '@/domain/house/house-item'
import { parseJson, parseWith } from '@/domain/problem/parse'
import { fail, type Outcome, succeed } from '@/domain/problem/problem'
import { brokenAt } from '@/domain/record/record'
import { readStored, STORED } from '@/domain/stored/stored'
import {
  cookFile,
  devicesFile,
  houseFile,
  kitchenFile,
  type Manifest,
  manifestFile,
  photosFile,
  planFile,
  type ReadingRow,
  readingRow,
  recordFile,
  type WholeReport,
  wholeReport,
} from '@/domain/whole/whole'
import { pictureAsKept } from '@/server/picture'

/** Takes a whole kitchen's file in, or looks what taking it in would do: the same work, undone at its end. */

const MOST_JSON = 64 * 1024 * 1024
/** All of it, unpacked. */
const MOST_BYTES = 8 * 1024 ** 3
const READINGS_PART = 5000

const sha256 = (content: string | Buffer) => createHash('sha256').update(content).digest('hex')
const wrong = (detail: string) => fail({ code: 'malformed', path: [], detail })

/** Another id for something whose own another kitchen of this installation has. */
const derivedFor = (kitchen: string) => (id: string) => `${id.slice(0, 4)}${sha256(`${kitchen}\n${id}`).slice(0, 14)}`

/** Undoes a look. */
class OnlyLooked extends Error {}
/** A part that was changed, seen when some of it was in already: nothing of the file is taken. */
class Damaged extends Error {}

interface Asked {
  readonly slug: string
  readonly path: string
  /** Take it in; else only look. */
  readonly take: boolean
}

export async function takeWhole({ slug, path, take }: Asked): Promise<Outcome<WholeReport>> {
  let zip: ZipFile
  try {
    zip = await openPromise(path, { lazyEntries: true, autoClose: false })
  } catch {
    return wrong('this is no whole kitchen: it cannot be opened as a ZIP file')
  }
  const { db, close } = openDatabase(process.env.DATABASE_URL as string)
  try {
    const parts = await partsOf(zip)
    if (!parts.ok) return parts
    const scope = await openKitchen(db, slug)
    if (!scope) return fail({ code: 'not_found', path: ['kitchen'], what: slug })
    let report: WholeReport | undefined
    try {
      await within(db, scope.kitchen.id).transaction(async (tx) => {
        const inside = await openKitchen(tx as unknown as typeof db, slug)
        report = await takeParts(parts.value, inside ?? scope, intake(tx, scope.kitchen, derivedFor(scope.kitchen.id)))
        if (!take) throw new OnlyLooked()
      })
    } catch (problem) {
      if (problem instanceof Damaged)
        return wrong(`${problem.message} is not as it was when the file was made: nothing was taken`)
      if (!(problem instanceof OnlyLooked)) throw problem
    }
    return report ? succeed(report) : wrong('nothing of it could be read')
  } finally {
    zip.close()
    await close()
  }
}

interface Parts {
  readonly manifest: Manifest
  readonly paths: readonly string[]
  /** A part whose hash is as listed; undefined where it is missing or was changed. */
  readonly bytes: (path: string) => Promise<Buffer | undefined>
  readonly stream: (path: string) => Promise<NodeJS.ReadableStream | undefined>
  readonly hashOf: (path: string) => string | undefined
}

/** What is in the file, by its own list. */
async function partsOf(zip: ZipFile): Promise<Outcome<Parts>> {
  const entries = new Map<string, Entry>()
  let total = 0
  try {
    await new Promise<void>((done, failed) => {
      zip.on('entry', (entry: Entry) => {
        total += entry.uncompressedSize
        if (total > MOST_BYTES) return failed(new Error('it unpacks to more than 8 GB'))
        entries.set(entry.fileName, entry)
        zip.readEntry()
      })
      zip.on('end', () => done())
      zip.on('error', failed)
      zip.readEntry()
    })
  } catch (problem) {
    return wrong(`this file cannot be read whole: ${problem instanceof Error ? problem.message : 'it is damaged'}`)
  }
  const open = async (path: string) => {
    const entry = entries.get(path)
    return entry && zip.openReadStreamPromise(entry)
  }
  const read = async (path: string): Promise<Buffer | undefined> => {
    const entry = entries.get(path)
    if (!entry || entry.uncompressedSize > MOST_JSON) return undefined
    const chunks: Buffer[] = []
    for await (const chunk of await zip.openReadStreamPromise(entry)) chunks.push(chunk as Buffer)
    return Buffer.concat(chunks)
  }
  const listed = await read('manifest.json').catch(() => undefined)
  if (!listed) return wrong('this is no whole kitchen: it has no manifest.json')
  const json = parseJson(listed.toString('utf8'))
  const manifest = json.ok ? parseWith(manifestFile, json.value) : json
  if (!manifest.ok) return manifest
  const hashes = new Map(manifest.value.files.map(({ path, sha256: hash }) => [path, hash]))
  return succeed({
    manifest: manifest.value,
    paths: [...hashes.keys()],
    hashOf: (path) => hashes.get(path),
    bytes: async (path) => {
      const bytes = await read(path).catch(() => undefined)
      return bytes && hashes.get(path) === sha256(bytes) ? bytes : undefined
    },
    stream: open,
  })
}

type Intake = ReturnType<typeof intake>
type Leave = ReturnType<typeof wholeReport>['leave']

async function takeParts(parts: Parts, scope: KitchenScope, into: Intake): Promise<WholeReport> {
  const { report, leave } = wholeReport(parts.manifest.kitchen, parts.manifest.made)
  const count = (kind: keyof WholeReport['adds'], added: boolean, by = 1) => {
    if (added) report.adds[kind] += by
    else report.there[kind] += by
  }
  /** A JSON part, as its schema has it; undefined where it stays out, which is then said. */
  const jsonOf = async <Schema extends z.ZodType>(
    path: string,
    schema: Schema,
  ): Promise<z.output<Schema> | undefined> => {
    const bytes = await parts.bytes(path)
    if (!bytes) {
      leave(path, 'it is missing, or not as it was when the file was made')
      return undefined
    }
    const json = parseJson(bytes.toString('utf8'))
    const read = json.ok ? parseWith(schema, json.value) : json
    if (read.ok) return read.value
    const [problem] = read.problems
    leave(
      path,
      `it cannot be read: ${problem && 'detail' in problem ? problem.detail : (problem?.code ?? 'malformed')}`,
    )
    return undefined
  }
  const at = (text: string) => new Date(text)
  const maybe = (text: string | null) => (text === null ? null : new Date(text))
  const under = (folder: string) =>
    parts.paths.filter((path) => path.startsWith(`${folder}/`) && path.endsWith('.json'))

  const kitchen = await jsonOf('kitchen.json', kitchenFile)
  if (kitchen) await takeSettings(kitchen, scope, leave)
  const house = await jsonOf('house.json', houseFile)
  if (house) await takeHouse(house.items, scope, count, leave)

  const planIds = new Map<string, string>()
  for (const path of under('plans')) {
    const file = await jsonOf(path, planFile)
    if (!file) continue
    const kind = PLAN_KINDS[file.kind]
    const document = readStored<unknown>(kind.stored, file.document)
    if (!document.ok) {
      leave(path, 'this release cannot read its document')
      continue
    }
    const place = await into.place('plan', file.id)
    planIds.set(file.id, place.id)
    const what = file.kind === 'roast' ? 'plans' : 'meals'
    count(what, !place.there)
    if (place.there) {
      const here = await into.planVersion(place.id)
      if (here !== undefined && here !== file.version)
        leave(path, `it is here in version ${here}, and stays so; the file has version ${file.version}`)
      continue
    }
    await into.addPlan(
      {
        id: place.id,
        kitchenId: scope.kitchen.id,
        kind: file.kind,
        version: file.version,
        promiseAt: kind.promiseOf(document.value as never),
        document: document.value as never,
        createdAt: at(file.created_at),
        archivedAt: maybe(file.archived_at),
      },
      file.versions.flatMap((version) => {
        const read = readStored<unknown>(kind.stored, version.document)
        return read.ok
          ? [
              {
                id: version.id,
                version: version.version,
                state: version.state,
                document: read.value as never,
                createdAt: at(version.created_at),
                settledAt: maybe(version.settled_at),
              },
            ]
          : []
      }),
    )
  }

  const devices = (await jsonOf('devices.json', devicesFile)) ?? []
  const deviceIds = new Map<string, string>()
  for (const device of devices) {
    const place = await into.place('device', device.id)
    deviceIds.set(device.id, place.id)
    count('probes', !place.there)
    if (!place.there)
      await into.addDevice(place.id, device.name, at(device.created_at), sha256(randomBytes(32).toString('hex')))
  }

  const cookIds = new Map<string, string>()
  for (const path of under('cooks')) {
    const file = await jsonOf(path, cookFile)
    if (!file) continue
    const read = readStored(STORED.cook, file.document)
    if (!read.ok) {
      leave(path, 'this release cannot read its document')
      continue
    }
    const place = await into.place('cook', file.id)
    cookIds.set(file.id, place.id)
    count('cooks', !place.there)
    const { source } = read.value
    if (!place.there)
      await into.addCook({
        id: place.id,
        state: file.state,
        createdAt: at(file.created_at),
        archivedAt: maybe(file.archived_at),
        document: { ...read.value, source: source && { ...source, id: planIds.get(source.id) ?? source.id } },
      })
    const said = file.entries.map(({ entry, received_at }) => ({
      received_at,
      entry: entry.device === null ? entry : { ...entry, device: deviceIds.get(entry.device) ?? entry.device },
    }))
    const added = await into.addEntries(place.id, said)
    count('entries', true, added)
    count('entries', false, said.length - added)
  }

  for (const device of devices) {
    const path = `readings/${device.id}.csv`
    const source = await parts.stream(path).catch(() => {
      throw new Damaged(path)
    })
    if (source)
      await takeReadings(path, source, parts.hashOf(path), deviceIds.get(device.id) ?? device.id, into, count, leave)
  }
  for (const photo of (await jsonOf('photos.json', photosFile)) ?? []) {
    const cookId = cookIds.get(photo.cook)
    const bytes = cookId === undefined ? undefined : await parts.bytes(photo.file)
    const picture = bytes && (await pictureAsKept(bytes))
    if (cookId === undefined || !picture) {
      leave(photo.file, cookId === undefined ? 'its cook is not there' : 'it is no picture as it is kept')
      continue
    }
    const place = await into.place('photo', photo.id)
    count(
      'photos',
      !place.there && (await into.addPhoto({ id: place.id, cookId, item: photo.item, at: at(photo.at), ...picture })),
    )
  }
  await takeRecord((await jsonOf('record.json', recordFile))?.chain ?? [], into, count, leave)
  return report
}

type Count = (kind: keyof WholeReport['adds'], added: boolean, by?: number) => void

/** Settings are taken where the kitchen has none of its own; where both have, its own stay. */
async function takeSettings(file: z.output<typeof kitchenFile>, scope: KitchenScope, leave: Leave): Promise<void> {
  const { kitchen } = scope
  if (file.time_zone !== kitchen.timeZone)
    leave('time zone', `the file’s is ${file.time_zone}, this kitchen’s ${kitchen.timeZone} stays`)
  if (file.equipment !== null && file.equipment !== undefined) {
    const equipment = readStored(STORED.equipment, file.equipment)
    if (kitchen.equipment !== null) {
      if (!isDeepStrictEqual(kitchen.equipment, equipment.ok ? equipment.value : undefined))
        leave('ovens and cooks', 'this kitchen has its own, and they stay')
    } else if (equipment.ok) await scope.setEquipment(equipment.value)
    else leave('ovens and cooks', 'this release cannot read them')
  }
  if (file.record_plan && kitchen.recordPlan === null) await scope.setRecordPlan(file.record_plan)
  else if (file.record_plan && !isDeepStrictEqual(file.record_plan, kitchen.recordPlan))
    leave('food-safety plan', 'this kitchen has its own, and it stays')
  for (const key of file.learning_off) if (!kitchen.learningOff.includes(key)) await scope.setLearning(key, false)
}

async function takeHouse(items: readonly unknown[], scope: KitchenScope, count: Count, leave: Leave): Promise<void> {
  const own = await scope.listHouseItems()
  for (const item of items) {
    const document = parseWith(houseItemDocument, item)
    if (!document.ok) {
      leave('house.json', 'one of its cuts, programs, ways or standards cannot be read by this release')
      continue
    }
    const { kind, name } = document.value
    const here = own.find((each) => each.document.kind === kind && each.document.name === name)
    count('house', !here)
    if (!here) await scope.putHouseItem(document.value, 'a whole kitchen taken in')
    else if (!isDeepStrictEqual(here.document, document.value))
      leave(`${kind} “${name}”`, 'this kitchen has one of that name, and it stays')
  }
}

/** What comes out of a packed part; one that cannot be unpacked is damaged. */
async function* unpacked(path: string, source: NodeJS.ReadableStream): AsyncGenerator<Buffer> {
  try {
    for await (const chunk of source) yield chunk as Buffer
  } catch {
    throw new Damaged(path)
  }
}

async function takeReadings(
  path: string,
  source: NodeJS.ReadableStream,
  hash: string | undefined,
  deviceId: string,
  into: Intake,
  count: Count,
  leave: Leave,
): Promise<void> {
  const hashed = createHash('sha256')
  let header = true
  let left = ''
  const decoder = new TextDecoder()
  let bad = 0
  let part: ReadingRow[] = []
  const flush = async () => {
    if (part.length === 0) return
    const added = await into.addReadings(deviceId, part)
    count('readings', true, added)
    count('readings', false, part.length - added)
    part = []
  }
  const take = async (lines: string) => {
    const { data } = Papa.parse<string[]>(lines, { skipEmptyLines: true })
    for (const [session, channel, seq, at, device_at, value_c] of data) {
      if (header) {
        header = false
        continue
      }
      const row = readingRow.safeParse({ session, channel, seq, at, device_at, value_c })
      if (row.success) part.push(row.data)
      else bad++
      if (part.length >= READINGS_PART) await flush()
    }
  }
  for await (const chunk of unpacked(path, source)) {
    hashed.update(chunk)
    left += decoder.decode(chunk, { stream: true })
    const end = left.lastIndexOf('\n')
    if (end < 0) continue
    const lines = left.slice(0, end + 1)
    left = left.slice(end + 1)
    await take(lines)
  }
  if (left !== '') await take(left)
  await flush()
  if (hash === undefined || hashed.digest('hex') !== hash) throw new Damaged(path)
  if (bad > 0) leave(path, `${bad} of its readings cannot be read`)
}

/** A record goes in whole where there is none, or where this one is its beginning: a chain has one end. */
async function takeRecord(
  chain: z.output<typeof recordFile>['chain'],
  into: Intake,
  count: Count,
  leave: Leave,
): Promise<void> {
  if (chain.length === 0) return
  const broken = brokenAt(chain, sha256)
  if (broken) return leave('record.json', `entry ${broken.seq} is not as it was when it was kept; none of it is taken`)
  const length = await into.recordLength()
  const shared = Math.min(length, chain.length)
  if (shared > 0 && (await into.recordAt(shared)) !== chain[shared - 1]?.hash)
    return leave('record.json', 'this kitchen has a record of its own: keep the file, it is verified by itself')
  count('record', false, shared)
  if (chain.length > length) {
    await into.addRecord(chain.slice(length))
    count('record', true, chain.length - length)
  }
}
