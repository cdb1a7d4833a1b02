import { seededRandom } from '@/core/estimate/random'
import { trueCook } from '../truth/truth'

/** What a channel of a station that is none reads: a cook with a truth of its own, noise, and what goes wrong. */
export interface StationChannel {
  readonly channel: number
  /** What it is in: meat of a true cook, the air of its oven, or a bench at 20 °C. */
  readonly point: 'core' | 'air' | 'bench'
  readonly seed: number
  readonly told: {
    readonly cut: string
    readonly mass_kg: number
    readonly set_c: number
    readonly pull_c: number
    readonly fan: boolean
  }
  /** Cook time at which the meat went in. */
  readonly put_in: string
  readonly faults: readonly StationFault[]
}
/** Something that goes wrong, in minutes since put-in. */
export type StationFault =
  | { readonly kind: 'dropout'; readonly from_min: number; readonly to_min: number }
  | { readonly kind: 'pulled_out'; readonly from_min: number; readonly to_min: number }
  | { readonly kind: 'moved'; readonly from_min: number; readonly by_k: number }
  | { readonly kind: 'battery'; readonly from_min: number }

/**
 * The readings of one channel by seconds since put-in; undefined where it says nothing.
 */
export function sampler(channel: StationChannel): (since_s: number) => number | undefined {
  const cook = trueCook(channel.seed, channel.told)
  const series = channel.point === 'air' ? cook.air : cook.readings
  const random = seededRandom(channel.seed + channel.channel)
  const at = (since_s: number): number => {
    if (channel.point === 'bench' || since_s < 0) return 20
    const i = Math.min(series.length - 1, Math.floor(since_s / 60))
    const from = i === 0 ? (series[0] as (typeof series)[number]) : (series[i - 1] as (typeof series)[number])
    const to = series[i] as (typeof series)[number]
    const span = Math.max(1, to.time_s - from.time_s)
    return from.value_c + Math.min(1, Math.max(0, (since_s - from.time_s) / span)) * (to.value_c - from.value_c)
  }
  return (since_s) => {
    const minute = since_s / 60
    let value = at(since_s)
    for (const fault of channel.faults) {
      if (fault.kind === 'battery' && minute >= fault.from_min) return undefined
      if (fault.kind === 'dropout' && minute >= fault.from_min && minute < fault.to_min) return undefined
      if (fault.kind === 'pulled_out' && minute >= fault.from_min && minute < fault.to_min)
        value = 21 + (value - 21) * Math.exp(-(minute - fault.from_min) / 0.8)
      if (fault.kind === 'moved' && minute >= fault.from_min) value += fault.by_k
    }
    return value + 0.1 * (random() + random() + random() - 1.5)
  }
}
