import { watchDatabase } from './server/availability'
import { openStreams } from './server/changes'
import { environment } from './server/environment'
import { watchLoop } from './server/loop-watch'
import { keepThinning } from './server/thinning'

/** Checks the environment before the first request, and lets go of open streams when told to stop. */
export function start(): void {
  environment()
  watchDatabase()
  watchLoop()
  keepThinning()
  for (const signal of ['SIGTERM', 'SIGINT'] as const)
    process.once(signal, () => {
      for (const end of [...openStreams]) end()
      setTimeout(() => process.exit(0), 3000).unref()
    })
}
