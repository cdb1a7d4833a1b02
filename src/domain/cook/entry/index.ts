import { assign } from './assign'
import { baste } from './baste'
import { calibrate } from './calibrate'
import { carve } from './carve'
import { cover } from './cover'
import { glaze } from './glaze'
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
import { takeOut } from './take-out'
import { turn } from './turn'
import { uncover } from './uncover'
import { undo } from './undo'

/** Every kind of entry by the word it is kept under. */
const KINDS = {
  in: putIn,
  out: takeOut,
  rest,
  carve,
  served: serve,
  turned: turn,
  basted: baste,
  glazed: glaze,
  door: openDoor,
  covered: cover,
  uncovered: uncover,
  note,
  reading,
  assign,
  oven: setOven,
  promise,
  pull_at: pullAt,
  calibrate,
  undo,
} as const satisfies Readonly<Record<string, EntryKind>>

export type EntryKindName = keyof typeof KINDS
export const ENTRY_KINDS = Object.keys(KINDS) as [EntryKindName, ...EntryKindName[]]
/**
 * What a kind of entry needs and does.
 * @example kindOf('turned').ofItem // true
 */
export const kindOf = (name: EntryKindName): EntryKind => KINDS[name]
