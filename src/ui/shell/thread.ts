import * as Comlink from 'comlink'

/** A thread that computes for a screen, by a protocol of which every answer is a promise. One that dies says so: whoever asked is told, and the next question opens another. */
export interface Thread<Api> {
  /** Asks; rejects where the thread dies meanwhile or was ended. */
  readonly ask: <Answer>(question: (api: Api) => Promise<Answer>) => Promise<Answer>
  /** Ends what is under way; the next question opens a thread again. */
  readonly end: () => void
}

export class ThreadDied extends Error {}

/** Nothing a screen asks takes so long on any machine, ms: a thread that has not answered by then is taken for dead. */
const SILENT_MS = 60_000

/** @param make a new thread: written out where it is used, for its address is found when the application is built */
export function openThread<Api>(make: () => Worker): Thread<Api> {
  let open: { thread: Worker; api: Api; died: Promise<never>; die: () => void; dead: () => void } | undefined
  const begin = () => {
    const thread = make()
    let die = () => {}
    const died = new Promise<never>((_, reject) => {
      die = () => reject(new ThreadDied())
    })
    died.catch(() => {})
    const dead = () => {
      thread.terminate()
      if (open === mine) open = undefined
      die()
    }
    const mine = { thread, api: Comlink.wrap<Api>(thread) as unknown as Api, died, die, dead }
    thread.addEventListener('error', dead)
    thread.addEventListener('messageerror', dead)
    return mine
  }
  return {
    ask: (question) => {
      open ??= begin()
      const { api, died, dead } = open
      const silent = setTimeout(dead, SILENT_MS)
      return Promise.race([question(api), died]).finally(() => clearTimeout(silent))
    },
    end: () => {
      open?.thread.terminate()
      open?.die()
      open = undefined
    },
  }
}
