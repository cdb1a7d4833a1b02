import type { CookDocument, CookEntry } from '../cook-document'
import { kindOf } from '.'
import { type CookLog, freshItem } from './kind'
import { secondsOf } from './time'

/**
 * Entries that still stand, by time: what was undone, and the undoing, are gone. Duplicates by id count once.
 * @example standing([]) // []
 */
export function standing(entries: readonly CookEntry[]): CookEntry[] {
  const byId = new Map(entries.map((entry) => [entry.id, entry]))
  const undone = new Set([...byId.values()].filter(({ kind }) => kind === 'undo').map(({ of }) => of))
  return [...byId.values()]
    .filter(({ id, kind }) => kind !== 'undo' && !undone.has(id))
    .sort((a, b) => Date.parse(a.at) - Date.parse(b.at) || (a.id < b.id ? -1 : 1))
}

/**
 * The log as it stands: the one function from entries to state. The order of arrival does not matter,
 * an entry kept twice counts once, and an undone one never was.
 */
export function foldLog(document: CookDocument, entries: readonly CookEntry[]): CookLog {
  const log: CookLog = {
    items: new Map(document.items.map(({ id }) => [id, freshItem()])),
    offsets: new Map(),
    promise_s: undefined,
  }
  for (const entry of standing(entries)) {
    const at_s = secondsOf(entry.at)
    const kind = kindOf(entry.kind)
    kind.onCook?.(log, entry, at_s)
    const item = entry.item === null ? undefined : log.items.get(entry.item)
    if (item) kind.onItem?.(item, entry, at_s)
  }
  return log
}

/**
 * Whether every roast is on the table.
 * @example isOver({ items: new Map([['rib', { state: 'served' }]]) }) // true
 */
export const isOver = (log: CookLog): boolean => [...log.items.values()].every(({ state }) => state === 'served')
