import { arrival } from './arrival'
import { assign } from './assign'
import { ate } from './ate'
import { baste } from './baste'
import { calibrate } from './calibrate'
import { carve } from './carve'
import { cover } from './cover'
import { done } from './done'
import { ending } from './ending'
import { finish } from './finish'
import { giveUp } from './give-up'
import { glaze } from './glaze'
import { heard } from './heard'
import type { EntryKind } from './kind'
import { note } from './note'
import { openDoor } from './open-door'
import { promise } from './promise'
import { pullAt } from './pull-at'
import { putIn } from './put-in'
import { reading } from './reading'
import { rest } from './rest'
import { serve } from './serve'
import { setOven } from './set-oven'
import { shift } from './shift'
import { skip } from './skip'
import { spoonOut } from './spoon-out'
import { takeOut } from './take-out'
import { turn } from './turn'
import { uncover } from './uncover'
import { undo } from './undo'

/** Every kind of entry by the word it is kept under. */
const KINDS = {
  in: putIn,
  out: takeOut,
  rest,
  finish,
  carve,
  served: serve,
  turned: turn,
  basted: baste,
  glazed: glaze,
  door: openDoor,
  covered: cover,
  uncovered: uncover,
  spooned: spoonOut,
  note,
  reading,
  assign,
  oven: setOven,
  promise,
  pull_at: pullAt,
  ending,
  calibrate,
  done,
  skipped: skip,
  shifted: shift,
  given_up: giveUp,
  ate,
  arrival,
  heard,
  undo,
} as const satisfies Readonly<Record<string, EntryKind>>

export type EntryKindName = keyof typeof KINDS
export const ENTRY_KINDS = Object.keys(KINDS) as [EntryKindName, ...EntryKindName[]]
/**
 * What a kind of entry needs and does.
 * @example kindOf('turned').ofItem // true
 */
export const kindOf = (name: EntryKindName): EntryKind => KINDS[name]
