import { createHash } from 'node:crypto'
import { createInterface } from 'node:readline'
import { z } from 'zod'
import { nextDocument, nextFrom } from '@/domain/cook/next-document'
import { DOCUMENT_NAMES, documentSchema } from '@/domain/documents'
import { parseJson, parseWith } from '@/domain/problem/parse'
import { fail, type Outcome, succeed } from '@/domain/problem/problem'
import { brokenAt, type ChainedEntry } from '@/domain/record/record'
import { stepTitle } from '@/words/steps'
import { PLAIN_UNITS } from '@/words/units'
import { estimate, schedule, simulate } from '@/workers/server/jobs'
import { READ_USAGE, readLines } from './read-lines'

const USAGE = `usage: node bin/pheasant.mjs simulate | estimate | next, each with --lines for one document a line; verify | plan | schema NAME | ${READ_USAGE}`
async function readAll(stream: NodeJS.ReadableStream): Promise<string> {
  let text = ''
  stream.setEncoding('utf8')
  for await (const chunk of stream) text += chunk
  return text
}

/** The board of a cook at a minute, each action with its words. */
function next(text: string): Outcome<unknown> {
  const json = parseJson(text)
  const document = json.ok ? parseWith(nextDocument, json.value) : json
  return document.ok
    ? nextFrom(document.value, (step, cook, pull_c) => stepTitle(step, cook, PLAIN_UNITS, pull_c))
    : document
}

const exportedRecord = z.object({
  kitchen: z.string(),
  chain: z.array(z.object({ seq: z.int(), entry: z.unknown(), prev: z.string(), hash: z.string() })),
})

/** Checks an exported food-safety record by its hashes alone. */
function verify(text: string): Outcome<unknown> {
  const json = parseJson(text)
  const record = json.ok ? parseWith(exportedRecord, json.value) : json
  if (!record.ok) return record
  const chain = record.value.chain as unknown as readonly ChainedEntry[]
  const broken = brokenAt(chain, (hashed) => createHash('sha256').update(hashed, 'utf8').digest('hex'))
  if (broken)
    return fail({
      code: 'malformed',
      path: ['chain', broken.seq - 1],
      detail: `entry ${broken.seq} is ${broken.why === 'changed' ? 'not as it was when it was kept' : broken.why === 'unbound' ? 'not bound to the one before it' : 'missing or out of its place'}`,
    })
  return succeed({
    kitchen: record.value.kitchen,
    entries: chain.length,
    holds: true,
    last: chain.at(-1)?.hash ?? null,
  })
}

/** Commands that take one document and answer at once: one, or one a line. */
const BY_DOCUMENT: Readonly<Record<string, (text: string) => Outcome<unknown>>> = { simulate, estimate, next }

/** One document a line in, one answer a line out, in their order; a bad line is answered with its errors, and the next is read. */
async function byLines(work: (text: string) => Outcome<unknown>): Promise<Outcome<undefined>> {
  for await (const line of createInterface({ input: process.stdin, crlfDelay: Number.POSITIVE_INFINITY })) {
    if (line.trim() === '') continue
    let outcome: Outcome<unknown>
    try {
      outcome = work(line)
    } catch (problem) {
      outcome = fail({
        code: 'malformed',
        path: [],
        detail: problem instanceof Error ? problem.message : String(problem),
      })
    }
    process.stdout.write(`${JSON.stringify(outcome.ok ? outcome.value : { errors: outcome.problems })}\n`)
  }
  return succeed(undefined)
}

async function answer(words: readonly string[]): Promise<Outcome<unknown>> {
  const [command, name, ...rest] = words
  const work = command !== undefined && Object.hasOwn(BY_DOCUMENT, command) ? BY_DOCUMENT[command] : undefined
  if (work && name === '--lines') return byLines(work)
  if (work && name === undefined) return work(await readAll(process.stdin))
  switch (command) {
    case 'plan':
      return schedule(await readAll(process.stdin))
    case 'verify':
      return verify(await readAll(process.stdin))
    case 'read':
      return readLines([...(name === undefined ? [] : [name]), ...rest])
    case 'schema': {
      const schema = documentSchema(name)
      if (!schema)
        return fail({ code: 'malformed', path: [], detail: `schema takes one of: ${DOCUMENT_NAMES.join(', ')}` })
      return { ok: true, value: z.toJSONSchema(schema, { io: 'input' }) }
    }
    default:
      return fail({ code: 'malformed', path: [], detail: USAGE })
  }
}

/** What went wrong in here is said like everything else: as data, never as a trace. */
const outcome = await answer(process.argv.slice(2)).catch((problem: unknown) =>
  fail({ code: 'malformed', path: [], detail: problem instanceof Error ? problem.message : String(problem) }),
)
if (outcome.ok) {
  if (outcome.value !== undefined) process.stdout.write(`${JSON.stringify(outcome.value, null, 2)}\n`)
} else {
  process.stderr.write(`${JSON.stringify({ errors: outcome.problems }, null, 2)}\n`)
  process.exitCode = 2
}
