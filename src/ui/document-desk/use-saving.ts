'use client'
import { useEffect, useState, useSyncExternalStore } from 'react'
import { parseJson } from '@/domain/problem/parse'
import { readStored, type StoredKind } from '@/domain/stored/stored'
import { deviceStorage } from '../shell/device-storage'
import { useHydrated } from '../shell/use-hydrated'
import { draftKey, PlanSaver, type SaverSnapshot } from './saver'

export interface Saving<Document> extends SaverSnapshot<Document> {
  readonly adopt: (version: number, document: Document) => boolean
  readonly keepMine: () => void
  readonly keepTheirs: () => void
}

/**
 * The newest text of each document that this tab knows the server to have. A page that is gone back to by the browser’s
 * button is shown as it was first answered: its desk begins with this instead.
 */
const newest = new Map<string, { readonly version: number; readonly text: string }>()

/** Keeps the server in step with the document on the screen. */
export function useSaving<Document>(
  address: string,
  planId: string,
  version: number,
  document: Document,
  savable: boolean,
  adopt: (document: Document) => void,
): Saving<Document> {
  const [saver] = useState(
    () =>
      new PlanSaver(address, planId, version, document, {
        fetch: (to, init) => fetch(to, init),
        storage: deviceStorage,
        wait: (ms) => new Promise((done) => setTimeout(done, ms)),
        kept: (kept, text) => newest.set(planId, { version: kept, text }),
      }),
  )
  const snapshot = useSyncExternalStore(saver.subscribe, saver.read, saver.read)
  useEffect(() => saver.want(document, savable), [saver, document, savable])
  useEffect(() => {
    const known = newest.get(planId)
    const latest = known && (JSON.parse(known.text) as Document)
    if (latest && saver.adopt(known.version, latest)) adopt(latest)
  }, [saver, planId, adopt])
  // A page that was gone back to begins with what it was: where its cook changed nothing there is nothing to choose.
  const { clash } = snapshot
  useEffect(() => {
    const theirs = clash?.byItself ? saver.keepTheirs() : undefined
    if (theirs) adopt(theirs)
  }, [saver, clash, adopt])
  return {
    ...snapshot,
    adopt: (theirVersion, theirs) => saver.adopt(theirVersion, theirs),
    keepMine: () => saver.keepMine(),
    keepTheirs: () => {
      const theirs = saver.keepTheirs()
      if (theirs) adopt(theirs)
    },
  }
}

interface Draft<Document> {
  /** The text this device has not been able to save yet, if any. */
  readonly kept: Document | undefined
  /** Hides the question, keeps the text until it is saved. */
  readonly dismiss: () => void
  /** Throws the text away. */
  readonly forget: () => void
}

/** A kept draft, read as what it should be: one that cannot be read is no draft. */
function readDraft<Document>(text: string | null, kind: StoredKind<Document>): Document | undefined {
  if (text === null) return undefined
  const json = parseJson(text)
  const held = json.ok && typeof json.value === 'object' && json.value !== null ? json.value : {}
  const read = readStored(kind, 'document' in held ? held.document : undefined)
  return read.ok ? read.value : undefined
}

/** What was typed here and never acknowledged, from an earlier visit: of a plan or of a meal. */
export function useDraft<Document>(id: string, saved: Document, kind: StoredKind<Document>): Draft<Document> {
  const hydrated = useHydrated()
  const [dismissed, setDismissed] = useState(false)
  const [found] = useState(() => readDraft(deviceStorage.getItem(draftKey(id)), kind))
  const document = hydrated && !dismissed ? found : undefined
  return {
    kept: document && JSON.stringify(document) !== JSON.stringify(saved) ? document : undefined,
    dismiss: () => setDismissed(true),
    forget: () => {
      deviceStorage.removeItem(draftKey(id))
      setDismissed(true)
    },
  }
}
