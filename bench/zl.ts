import { gist } from '@/domain/line/corpus/gist'
import { readLine } from '@/domain/line/reading'
import { planFromLine } from '@/domain/plan/from-line'

const now_s = Date.parse('2026-11-27T14:00:00Z') / 1000
for (const line of (await import('node:fs')).readFileSync(0, 'utf8').trim().split('\n')) {
  try {
    const r: any = readLine(line, { now_s, timeZone: 'Europe/London' } as any)
    console.log(line, '\n    ', r.ok ? gist(r.value, 'Europe/London') : JSON.stringify(r.problems).slice(0, 250))
  } catch (e) {
    console.log(line, 'ERR', String(e).slice(0, 200))
  }
}
