import type { CookDocument, CookEntry } from '../cook-document'
import { kindOf } from '.'
import { type CookLog, freshItem, probeKey } from './kind'
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
    ticked: new Map(),
    skipped: new Set(),
    shifted: new Map(),
    loose: [],
    heard: new Set(),
  }
  for (const entry of standing(entries)) {
    const at_s = secondsOf(entry.at)
    const kind = kindOf(entry.kind)
    kind.onCook?.(log, entry, at_s)
    if (entry.of !== null) stepOf(log, entry, at_s)
    else if (entry.item !== null) log.loose.push({ item: entry.item, kind: entry.kind, at_s })
    const item = entry.item === null ? undefined : log.items.get(entry.item)
    // A probe is in one piece of meat: put into another it has left the first.
    if (entry.kind === 'assign')
      for (const [id, other] of log.items)
        if (id !== entry.item) other.probes.delete(probeKey(entry.device, entry.channel))
    if (item) kind.onItem?.(item, entry, at_s)
  }
  return log
}

/** When a roast is promised as the log stands, s: where it was moved to, or all were, or as planned. */
export const promisedAt = (
  { id, promise }: Pick<CookDocument['items'][number], 'id' | 'promise'>,
  log: CookLog,
): number => log.items.get(id)?.promise_s ?? log.promise_s ?? secondsOf(promise)

/** What an entry that names a step of the plan says of it. */
function stepOf(log: CookLog, { kind, of, text, device, value_c }: CookEntry, at_s: number): void {
  if (of === null) return
  if (kind === 'skipped') log.skipped.add(of)
  else if (kind === 'shifted') {
    const to_s = secondsOf(text ?? '')
    if (Number.isFinite(to_s))
      log.shifted.set(of, { at_s: to_s, source: device ?? undefined, set_c: value_c ?? undefined })
  } else log.ticked.set(of, at_s)
}
