import { type EntryKind, probeKey } from './kind'

/** Where a probe is that is in nothing. */
export const NOWHERE = 'out'

/** A probe's channel is in a point of it, or in the air around it. */
export const assign: EntryKind = {
  needs: ['device', 'channel', 'point'],
  ofItem: true,
  onItem: (item, { point, device, channel }, at_s) => {
    const key = probeKey(device, channel)
    if (point === NOWHERE) item.probes.delete(key)
    else if (point !== null) item.probes.set(key, { device, channel, point })
    item.looked_s = Math.max(item.looked_s, at_s)
  },
}
