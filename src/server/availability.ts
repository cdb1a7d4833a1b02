import postgres from 'postgres'
import { environment } from './environment'
import { DATABASE_MS, HELD_MS } from './limits'

/** Whether the database answers, asked again and again: who asks for something while it is gone is told so at once. */

interface Watch {
  away: boolean
  /** Told when it goes away: whoever waits for it need not. */
  readonly waiting: Set<() => void>
}
/** One for the process: pages, routes and the proxy are bundled apart and see the same. */
const held = globalThis as { pheasantWatch?: Watch }
held.pheasantWatch ??= { away: false, waiting: new Set() }
const watch = held.pheasantWatch

const EVERY_MS = 400

export const databaseIsAway = (): boolean => watch.away

/** What a piece of work answers, or undefined as soon as the database is seen to be gone, or holds it for too long. */
export function unlessAway<Value>(work: Promise<Value>): Promise<Value | undefined> {
  let stop = () => {}
  const away = new Promise<undefined>((done) => {
    stop = () => done(undefined)
    watch.waiting.add(stop)
  })
  // A question that went down with a connection may never be answered.
  const held = setTimeout(stop, HELD_MS)
  // Nobody waits for it any more when the other was quicker.
  work.catch(() => {})
  return Promise.race([work, away]).finally(() => {
    clearTimeout(held)
    watch.waiting.delete(stop)
  })
}

/** Errors that mean the database is gone, and not that it was asked something wrong. */
const GONE = /^(ECONN|EPIPE|ENOENT|ETIMEDOUT|CONNECTION_|CONNECT_TIMEOUT|57P0[123]|08|53[0-3]00|58)/
const codeOf = (problem: unknown): string | undefined => {
  if (typeof problem !== 'object' || problem === null) return undefined
  const { code, cause } = problem as { code?: unknown; cause?: unknown }
  return typeof code === 'string' && GONE.test(code) ? code : codeOf(cause)
}
export const meansAway = (problem: unknown): boolean => codeOf(problem) !== undefined

/** A question that is late by more than this was kept waiting by this process, not by the database: it is waited for again. */
const HELD_UP = 1.25
/** But not for ever. */
const MOST_WAITS = 4

/** What came of a question: an answer, none in time, or a connection that is gone. */
export type Asked = 'answers' | 'late' | 'gone'

/** Asks on a connection of its own, which is made anew when it is lost. */
export async function ask(client: ReturnType<typeof postgres>): Promise<Asked> {
  const answer = client`select 1`.then(
    () => 'answers' as const,
    () => 'gone' as const,
  )
  for (let waits = 0; waits < MOST_WAITS; waits++) {
    const asked_ms = performance.now()
    // Where it is this process that was held up, an answer may have come meanwhile: that is looked at first.
    const late = new Promise<undefined>((done) =>
      setTimeout(() => setImmediate(() => setImmediate(() => done(undefined))), DATABASE_MS).unref(),
    )
    const found = await Promise.race([answer, late])
    if (found !== undefined) return found
    if (performance.now() - asked_ms < DATABASE_MS * HELD_UP) return 'late'
  }
  return 'late'
}

/** Longer than a question is waited for, so that a process that was held up loses no connection by it, s. */
const CONNECT_S = 5

/** Late so often in a row it is away. */
const MOST_LATE = 2

/** Watches for as long as the process lives. */
export function watchDatabase(): void {
  const open = () =>
    postgres(environment().DATABASE_URL, { max: 1, onnotice: () => {}, connect_timeout: CONNECT_S, backoff: () => 0.2 })
  let client = open()
  let lates = 0
  const look = async () => {
    const asked = await ask(client)
    lates = asked === 'late' ? lates + 1 : 0
    // One late answer is a busy moment, of this process as likely as of the database; what is away it does not bring back.
    const answers = asked === 'answers' || (asked === 'late' && !watch.away && lates < MOST_LATE)
    if (!answers) {
      // A connection that hangs is let go of: the next question makes another.
      void client.end({ timeout: 0 }).catch(() => {})
      client = open()
    }
    watch.away = !answers
    if (watch.away) for (const stop of [...watch.waiting]) stop()
    setTimeout(() => void look(), EVERY_MS).unref()
  }
  void look()
}
