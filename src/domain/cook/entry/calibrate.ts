import { type EntryKind, probeKey } from './kind'

/** A probe reads so much too high, K: taken out for every roast of this cook. */
export const calibrate: EntryKind = {
  needs: ['device', 'channel', 'value_c'],
  ofItem: false,
  onCook: (log, { device, channel, value_c }) => {
    log.offsets.set(probeKey(device, channel), value_c ?? 0)
  },
}
