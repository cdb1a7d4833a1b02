import { writeFileSync } from 'node:fs'
import { resolve } from 'node:path'
import { cookPast, PAST_COOKS } from '@/stand-ins/demo/seasons'

/** Cooks the demo's past and keeps it: npm run demo:seasons. The same each time, by the same model. */
const logs = PAST_COOKS.map((past, i) => {
  const log = cookPast(past, i + 1)
  const served = log.entries.filter(({ kind }) => kind === 'served').map(({ s }) => s)
  console.log(
    `${past.slug} ${past.title}: on the table ${served.map((s) => `${(s / 60).toFixed(0)} min`).join(', ')} after its promise; ${log.entries
      .filter(({ kind }) => kind === 'ate')
      .map(({ point, text }) => `${point} ${text}`)
      .join(', ')}`,
  )
  return log
})
writeFileSync(
  resolve(import.meta.dirname, '../src/stand-ins/demo/seasons.json'),
  `[\n${logs.map((log) => JSON.stringify(log)).join(',\n')}\n]\n`,
)
