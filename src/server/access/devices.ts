import { deviceByToken } from '@/db/cooks'
import { database } from '../rooms'

/** Probe stations by their tokens, for a moment: one that is taken back is forgotten on every server at once. */

type Known = { readonly id: string; readonly kitchenId: string; readonly until_ms: number }
const world = globalThis as { pheasantDevices?: Map<string, Known> }
world.pheasantDevices ??= new Map()
const known = world.pheasantDevices

/** Known a moment ago is not asked for again: so long at most a token works where word of its end did not come, ms. */
const KNOWN_MS = 2000

export async function deviceOf(
  tokenHash: string,
): Promise<{ readonly id: string; readonly kitchenId: string } | undefined> {
  const met = known.get(tokenHash)
  if (met && met.until_ms > performance.now()) return met
  const found = await deviceByToken(database(), tokenHash)
  if (found) known.set(tokenHash, { ...found, until_ms: performance.now() + KNOWN_MS })
  else known.delete(tokenHash)
  return found
}

/** A token was taken back somewhere: all are asked for anew. */
export const forgetDevices = (): void => known.clear()
