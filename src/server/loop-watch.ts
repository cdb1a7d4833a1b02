import { monitorEventLoopDelay } from 'node:perf_hooks'
import { log } from './log'

/** How often it is looked at, ms, and the longest that nobody should have waited. */
const EVERY_MS = 5000
const HELD_MS = 250

/** Says when the thread that answers was held up: something ran on it that belongs into the pool. */
export function watchLoop(): void {
  const delay = monitorEventLoopDelay({ resolution: 10 })
  delay.enable()
  setInterval(() => {
    const held_ms = Math.round(delay.max / 1e6)
    if (held_ms > HELD_MS) {
      const { rss, heapUsed } = process.memoryUsage()
      log.warn(
        { held_ms, rss_mb: Math.round(rss / 1e6), heap_mb: Math.round(heapUsed / 1e6) },
        'the event loop was held',
      )
    }
    delay.reset()
  }, EVERY_MS).unref()
}
