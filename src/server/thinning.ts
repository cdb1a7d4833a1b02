import { thinNext } from '@/db/thinning'
import { databaseIsAway } from './availability'
import { log, problemOf } from './log'
import { database } from './rooms'

/** Looked at so often while nothing is due, and so soon again while there is more, ms. */
const IDLE_MS = 3600_000
const BUSY_MS = 2000

/** Thins old readings piece by piece for as long as the process lives. */
export function keepThinning(): void {
  const next = async () => {
    let wait_ms = IDLE_MS
    try {
      const gone = databaseIsAway() ? undefined : await thinNext(database(), new Date())
      if (gone !== undefined) wait_ms = BUSY_MS
      if (gone) log.info({ gone }, 'old readings were thinned')
    } catch (problem) {
      log.warn({ problem: problemOf(problem) }, 'old readings could not be thinned')
    }
    setTimeout(() => void next(), wait_ms).unref()
  }
  setTimeout(() => void next(), BUSY_MS * 30).unref()
}
