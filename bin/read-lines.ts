import { readFileSync } from 'node:fs'
import { createInterface } from 'node:readline'
import { parseArgs } from 'node:util'
import { z } from 'zod'
import { readLine } from '@/domain/line/reading'
import { documentFromLine } from '@/domain/meal/from-line'
import { equipmentPart } from '@/domain/meal/meal-document'
import { PLAIN_KITCHEN } from '@/domain/meal/meal-problem'
import { parseJson, parseWith } from '@/domain/problem/parse'
import { fail, type Outcome, succeed } from '@/domain/problem/problem'
import { instant } from '@/domain/schema/scalars'
import { askWords, factWords } from '@/words/line-words'
import { PLAIN_UNITS } from '@/words/units'

export const READ_USAGE =
  'read [--now 2026-11-24T09:00:00Z] [--zone Europe/London] [--kitchen equipment.json], lines on standard input'

/** What a run of `read` reads by: the present, the zone of the clock, the ovens of a meal. */
interface Reading {
  readonly now_s: number
  readonly zone: string
  readonly kitchen: z.output<typeof equipmentPart>
}

/** A zone that the clock knows. */
const isZone = (zone: string): boolean => {
  try {
    return new Intl.DateTimeFormat('en', { timeZone: zone }) !== undefined
  } catch {
    return false
  }
}
const zone = z.string().refine(isZone, 'is no time zone, such as Europe/London')
const options = z.strictObject({ now: instant.optional(), zone: zone.default('UTC'), kitchen: z.string().optional() })

function readingOf(words: readonly string[]): Outcome<Reading> {
  let values: unknown
  try {
    values = parseArgs({
      args: [...words],
      options: { now: { type: 'string' }, zone: { type: 'string' }, kitchen: { type: 'string' } },
    }).values
  } catch {
    return fail({ code: 'malformed', path: [], detail: `usage: ${READ_USAGE}` })
  }
  const asked = parseWith(options, values)
  if (!asked.ok) return asked
  const { now, zone, kitchen } = asked.value
  let equipment = PLAIN_KITCHEN
  if (kitchen !== undefined) {
    let text: string
    try {
      text = readFileSync(kitchen, 'utf8')
    } catch {
      return fail({ code: 'malformed', path: ['kitchen'], detail: `${kitchen} cannot be read` })
    }
    const json = parseJson(text)
    const given = json.ok ? parseWith(equipmentPart, json.value) : json
    if (!given.ok) return given
    equipment = given.value
  }
  return succeed({ now_s: (now === undefined ? Date.now() : Date.parse(now)) / 1000, zone, kitchen: equipment })
}

/** One line, answered: its document, what each word means, what is asked. */
function answerLine(line: string, { now_s, zone, kitchen }: Reading) {
  const read = readLine(line, { now_s, timeZone: zone })
  if (!read.ok) return { line, kind: null, document: null, words: [], asks: [], problems: read.problems }
  const units = { ...PLAIN_UNITS, timeZone: zone }
  const { meanings, asks } = read.value
  const stands = documentFromLine(read.value, now_s, kitchen)
  return {
    line,
    kind: stands?.kind ?? null,
    document: stands?.document ?? null,
    words: meanings.map(({ from, to, fact, mended }) => ({
      from,
      to,
      text: line.slice(from, to),
      means: factWords(fact, units) ?? null,
      fact,
      mended,
    })),
    asks: asks.map((ask) => ({ ...ask, says: askWords(ask, units) })),
    problems: [],
  }
}

/** Reads lines from standard input, one each, and answers each with one line of JSON, in their order. */
export async function readLines(words: readonly string[]): Promise<Outcome<undefined>> {
  const reading = readingOf(words)
  if (!reading.ok) return reading
  for await (const line of createInterface({ input: process.stdin, crlfDelay: Number.POSITIVE_INFINITY })) {
    if (line.trim() === '') continue
    process.stdout.write(`${JSON.stringify(answerLine(line, reading.value))}\n`)
  }
  return succeed(undefined)
}
