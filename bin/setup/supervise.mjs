// Keeps a process alive: what dies is started again, after a pause that grows while it keeps dying.
import { setTimeout as sleep } from 'node:timers/promises'

const PAUSE_MS = { first: 500, most: 30_000 }
/** Having lived so long, it is not one that keeps dying. */
const WELL_MS = 60_000

/**
 * @param begin starts the process; its answer emits 'exit'
 * @param say told of every death
 * @param mayEnd whether it has done its work when it ends well
 */
export function keepAlive(name, begin, say, mayEnd = false) {
  let child
  let pause_ms = PAUSE_MS.first
  let stopped = false
  const run = async () => {
    while (!stopped) {
      const born = Date.now()
      child = begin()
      const [code, signal] = await new Promise((done) => {
        child.once('exit', (...how) => done(how))
        child.once('error', (problem) => done([problem.message, null]))
      })
      if (stopped || (code === 0 && mayEnd)) return
      if (Date.now() - born > WELL_MS) pause_ms = PAUSE_MS.first
      say(`${name} ended (${signal ?? code}); it is started again in ${pause_ms / 1000} s`)
      await sleep(pause_ms)
      pause_ms = Math.min(PAUSE_MS.most, pause_ms * 2)
    }
  }
  void run()
  return {
    child: () => child,
    /** Ends it: asked first, then made to. */
    async stop(patience_ms) {
      stopped = true
      const ending = child
      if (!ending || ending.exitCode !== null || ending.signalCode !== null) return
      const gone = new Promise((done) => ending.once('exit', done))
      signal(ending.pid, 'SIGTERM')
      await Promise.race([gone, sleep(patience_ms)])
      signal(ending.pid, 'SIGKILL')
    },
  }
}

/** To a process and its children, or to it alone where it leads no group. */
export function signal(pid, what) {
  for (const to of [-pid, pid])
    try {
      process.kill(to, what)
      return
    } catch {}
}
