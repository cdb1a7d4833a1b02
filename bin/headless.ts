import { z } from 'zod'
import { DOCUMENT_NAMES, documentSchema } from '@/domain/documents'
import { fail, type Outcome } from '@/domain/problem/problem'
import { estimate, schedule, simulate } from '@/workers/server/jobs'
import { READ_USAGE, readLines } from './read-lines'

const USAGE = `usage: node bin/pheasant.mjs simulate | plan | estimate | schema NAME | ${READ_USAGE}`
async function readAll(stream: NodeJS.ReadableStream): Promise<string> {
  let text = ''
  stream.setEncoding('utf8')
  for await (const chunk of stream) text += chunk
  return text
}

async function answer(words: readonly string[]): Promise<Outcome<unknown>> {
  const [command, name, ...rest] = words
  switch (command) {
    case 'simulate':
      return simulate(await readAll(process.stdin))
    case 'plan':
      return schedule(await readAll(process.stdin))
    case 'estimate':
      return estimate(await readAll(process.stdin))
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
