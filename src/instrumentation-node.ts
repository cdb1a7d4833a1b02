import { forgetDevices } from './server/access/devices'
import { watchDatabase } from './server/availability'
import { hearEverything, openStreams } from './server/changes'
import { warmUp } from './server/compute'
import { environment } from './server/environment'
import { watchLoop } from './server/loop-watch'
import { keepThinning } from './server/thinning'

const WARM_UP_MS = 2000

/** Checks the environment before the first request, and lets go of open streams when told to stop. */
export function start(): void {
  environment()
  watchDatabase()
  watchLoop()
  keepThinning()
  // A token that is taken back on one server opens nothing on any.
  void hearEverything(({ what }) => {
    if (what === 'access') forgetDevices()
  }).catch(() => {})
  // When the rest has got going; where it is not built, as in development, the first question builds it.
  setTimeout(() => void warmUp().catch(() => {}), WARM_UP_MS).unref()
  for (const signal of ['SIGTERM', 'SIGINT'] as const)
    process.once(signal, () => {
      for (const end of [...openStreams]) end()
      setTimeout(() => process.exit(0), 3000).unref()
    })
}
