import { z } from 'zod'
import { estimateDocument, estimateFrom } from '@/domain/cook/estimate-document'
import { DOCUMENT_NAMES, documentSchema } from '@/domain/documents'
import { parseJson, parseWith } from '@/domain/problem/parse'
import { fail, type Outcome } from '@/domain/problem/problem'
import { simulateDocument } from '@/domain/roast/roast-document'
import { simulate } from '@/domain/roast/simulate'
import { planHeadless } from '@/server/headless'

const USAGE = 'usage: node bin/pheasant.mjs simulate | plan | estimate | schema NAME'
async function readAll(stream: NodeJS.ReadableStream): Promise<string> {
  let text = ''
  stream.setEncoding('utf8')
  for await (const chunk of stream) text += chunk
  return text
}

async function answer(words: readonly string[]): Promise<Outcome<unknown>> {
  const [command, name] = words
  switch (command) {
    case 'simulate': {
      const json = parseJson(await readAll(process.stdin))
      if (!json.ok) return json
      const document = parseWith(simulateDocument, json.value)
      return document.ok ? simulate(document.value) : document
    }
    case 'plan': {
      const json = parseJson(await readAll(process.stdin))
      return json.ok ? planHeadless(json.value) : json
    }
    case 'estimate': {
      const json = parseJson(await readAll(process.stdin))
      if (!json.ok) return json
      const document = parseWith(estimateDocument, json.value)
      return document.ok ? estimateFrom(document.value) : document
    }
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

const outcome = await answer(process.argv.slice(2))
if (outcome.ok) process.stdout.write(`${JSON.stringify(outcome.value, null, 2)}\n`)
else {
  process.stderr.write(`${JSON.stringify({ errors: outcome.problems }, null, 2)}\n`)
  process.exitCode = 2
}
