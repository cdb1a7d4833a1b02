import { NO_CUT, readLine } from '@/domain/line/reading'
import { documentFromLine } from '@/domain/meal/from-line'
import { fail, type Outcome, succeed } from '@/domain/problem/problem'
import { nowSeconds } from './environment'
import { inKitchen, lineContextOf } from './kitchen'
import { addMealFromDocument, equipmentOf } from './meals'
import { addPlanFromDocument } from './plans'

/** What a typed line became: a plan of one roast, or a whole meal. */
export interface AddedLine {
  readonly kind: 'plan' | 'meal'
  readonly id: string
}

/** Adds what a typed line stands for: what it leaves open takes its usual value. */
export async function addFromLine(slug: string, line: string): Promise<Outcome<AddedLine>> {
  const made = await inKitchen(slug, async (scope) => {
    const now_s = nowSeconds()
    const read = readLine(line, await lineContextOf(scope, now_s))
    if (!read.ok) return read
    const stands = documentFromLine(read.value, now_s, equipmentOf(scope))
    return stands ? succeed(stands) : fail(NO_CUT)
  })
  if (!made.ok) return made
  const { kind, document } = made.value
  const added = kind === 'plan' ? await addPlanFromDocument(slug, document) : await addMealFromDocument(slug, document)
  return added.ok ? succeed({ kind, id: added.value.id }) : added
}
