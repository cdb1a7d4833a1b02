import { type Learned, type Lesson, learn, NATURES } from '@/core/estimate/learning'
import type { CookEntry } from '../cook/cook-document'
import { secondsOf } from '../cook/entry/time'
import type { LearnedThing } from './learned'

/** What a kitchen's probes read too much, from every time one stood in ice or in a boil. */

/** How surely one check tells, K: stirred ice is zero, a boil is as high as the weather. */
const ERRORS: Readonly<Record<string, number>> = { ice: 0.3, boiling: 0.6 }
/** Less than this is left as it is, K. */
const WORTH_K = 0.3

const keyOf = ({ device, channel }: Pick<CookEntry, 'device' | 'channel'>) => `probe:${device}:${channel}`

/** A probe and what it reads too much, K. */
export interface LearnedProbe extends LearnedThing {
  readonly of: 'probe'
  readonly device: string
  readonly channel: number
}

/**
 * What each probe of a kitchen reads too much, with how many checks it rests on.
 *
 * @param checks entries of every cook that say so; what a board laid in by itself is none
 * @param nameOf how a device is called; undefined: it is gone
 */
export function probesFrom(
  checks: readonly CookEntry[],
  nameOf: (device: string) => string | undefined,
  now_s: number,
): readonly LearnedProbe[] {
  const lessons = checks.flatMap((entry): Lesson[] => {
    const { kind, value_c, point, device, channel, at } = entry
    const error = ERRORS[point ?? '']
    if (kind !== 'calibrate' || value_c === null || device === null || channel === null || error === undefined)
      return []
    const key = keyOf(entry)
    return [{ at_s: secondsOf(at), value: value_c, error, of: [{ key, by: 1 }], mayChange: key }]
  })
  return [...learn(lessons, () => NATURES.probe, now_s)].flatMap(
    ([key, learned]: [string, Learned]): LearnedProbe[] => {
      const [, device = '', channel = '0'] = key.split(':')
      const name = nameOf(device)
      return name === undefined || learned.cooks === 0
        ? []
        : [
            {
              of: 'probe',
              key,
              name: `Probe ${Number(channel) + 1} of ${name}`,
              device,
              channel: Number(channel),
              ...learned,
            },
          ]
    },
  )
}

/** What a cook begins with of that: an entry for each probe that is off by more than is worth it, undone like any other. */
export function offsetsToBegin(probes: readonly LearnedProbe[], at: string, idOf: () => string): readonly CookEntry[] {
  return probes
    .filter(({ mean }) => Math.abs(mean) >= WORTH_K)
    .map(({ device, channel, mean }) => ({
      id: idOf(),
      kind: 'calibrate',
      at,
      item: null,
      by: 'earlier checks',
      value_c: Math.round(10 * mean) / 10,
      point: 'learned',
      device,
      channel,
      of: null,
      text: null,
    }))
}
