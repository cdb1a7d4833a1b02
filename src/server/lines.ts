import { likeOf } from '@/domain/line/like'
import { NO_CUT, readLine } from '@/domain/line/reading'
import { warmLines } from '@/domain/line/warm'
import { documentFromLine } from '@/domain/meal/from-line'
import { fail, type Outcome, succeed } from '@/domain/problem/problem'
import { cookAgainLike } from './again'
import { nowSeconds } from './environment'
import { lineContextOf } from './kitchen'
import { equipmentOf, mealAsSaid } from './meals'
import { planAsSaid } from './plans'
import { type AddedLine, addStanding } from './standing'

/** Makes the reading of lines ready a little at a time. */
export const warmReading = (): void => warmLines((go) => void setTimeout(go, 20).unref())

/** Adds what a typed line stands for: what it leaves open takes its usual value. */
export async function addFromLine(slug: string, line: string): Promise<Outcome<AddedLine>> {
  const like = likeOf(line)
  if (like) return cookAgainLike(slug, like)
  return addStanding(slug, async (scope) => {
    const now_s = nowSeconds()
    const read = readLine(line, await lineContextOf(scope, now_s))
    if (!read.ok) return read
    const stands = documentFromLine(read.value, now_s, equipmentOf(scope))
    if (!stands) return fail(NO_CUT)
    return succeed(
      stands.kind === 'plan'
        ? { ...stands, document: await planAsSaid(scope, read.value, stands.document, now_s) }
        : { ...stands, document: await mealAsSaid(scope, stands.document) },
    )
  })
}
