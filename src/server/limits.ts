/** What the server takes and how long it works for it, all in one place; docs/limits.md says it to its users. */

/** How long a job may take, queueing included, ms. */
export const DEADLINE_MS = {
  /** What is asked again by itself, and done without meanwhile. */
  screen: 2000,
  /** A plan, or a headless answer: what somebody waits for. One whose time was up begins over, and cold. */
  plan: 10_000,
  /** A whole meal of a kitchen: twenty roasts in four ovens, on a machine that has more to do. */
  meal: 15_000,
} as const

/**
 * Threads that compute, jobs that may wait for one, and how far they stand behind the thread that answers (0 not at
 * all, 19 last): kitchens apart from headless questions, and before them.
 */
export const POOLS = {
  kitchen: { threads: 2, waiting: 64, niceness: 4 },
  headless: { threads: 2, waiting: 16, niceness: 15 },
} as const

/** The thread that reads and writes whole files, one at a time, and how long one may take, ms. */
export const FILES = { waiting: 4, niceness: 19, deadline_ms: 600_000, page_ms: 15_000 } as const
/** A file that is brought in in parts: all of it, bytes. */
export const BROUGHT = { most: 4 * 1024 ** 3 } as const

/** Pictures of one roast. */
export const PHOTOS_PER_ROAST = 3

/** The database is given up on after this, ms. */
export const DATABASE_MS = 1200
/** Work that the database holds longer than this is let go of, and said to be: the longest job and its queue fit in it, ms. */
export const HELD_MS = 25_000
/** Whoever is told to wait is told so long, s. */
export const RETRY_AFTER_S = 2

/** What a body may be: its size in bytes, how deep its parts lie in each other, the longest of its lists. */
export interface BodyLimit {
  readonly bytes: number
  readonly depth: number
  readonly items: number
}
const KB = 1024

export const BODY = {
  /** A name, a choice, a typed line. */
  small: { bytes: 8 * KB, depth: 4, items: 20 },
  plan: { bytes: 64 * KB, depth: 10, items: 100 },
  meal: { bytes: 512 * KB, depth: 12, items: 120 },
  entries: { bytes: 512 * KB, depth: 4, items: 500 },
  /** A picture, shrunk where it was taken. */
  part: { bytes: 1024 * KB, depth: 0, items: 0 },
  photo: { bytes: 1536 * KB, depth: 0, items: 0 },
  readings: { bytes: 1024 * KB, depth: 4, items: 5000 },
  simulate: { bytes: 64 * KB, depth: 10, items: 100 },
  estimate: { bytes: 1024 * KB, depth: 10, items: 20_000 },
} as const satisfies Readonly<Record<string, BodyLimit>>

/** The most that any route takes: what says it is longer is refused before it is read. */
export const MOST_BYTES = Math.max(...Object.values(BODY).map(({ bytes }) => bytes))
