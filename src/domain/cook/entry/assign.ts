import type { EntryKind } from './kind'

/** A probe's channel is in a point of it, or in the air around it. */
export const assign: EntryKind = {
  needs: ['device', 'channel', 'point'],
  ofItem: true,
  onItem: (item, { point, device, channel }, at_s) => {
    if (point !== null) item.probes.set(point, { device, channel })
    item.looked_s = Math.max(item.looked_s, at_s)
  },
}
