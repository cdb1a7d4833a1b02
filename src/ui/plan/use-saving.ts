'use client'
import { useEffect, useState, useSyncExternalStore } from 'react'
import type { PlanDocument } from '@/domain/roast/roast-document'
import { deviceStorage } from '../shell/device-storage'
import { useHydrated } from '../shell/use-hydrated'
import { draftKey, PlanSaver, type SaverSnapshot } from './saver'

export interface Saving<Document> extends SaverSnapshot<Document> {
  readonly adopt: (version: number, document: Document) => boolean
  readonly keepMine: () => void
  readonly keepTheirs: () => void
}

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
      }),
  )
  const snapshot = useSyncExternalStore(saver.subscribe, saver.read, saver.read)
  useEffect(() => saver.want(document, savable), [saver, document, savable])
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

interface Draft {
  /** The text this device has not been able to save yet, if any. */
  readonly kept: PlanDocument | undefined
  /** Hides the question, keeps the text until it is saved. */
  readonly dismiss: () => void
  /** Throws the text away. */
  readonly forget: () => void
}

/** What was typed here and never acknowledged, from an earlier visit. */
export function useDraft(planId: string, saved: PlanDocument): Draft {
  const hydrated = useHydrated()
  const [dismissed, setDismissed] = useState(false)
  const [found] = useState(() => deviceStorage.getItem(draftKey(planId)))
  const document =
    hydrated && !dismissed && found ? (JSON.parse(found) as { document: PlanDocument }).document : undefined
  return {
    kept: document && JSON.stringify(document) !== JSON.stringify(saved) ? document : undefined,
    dismiss: () => setDismissed(true),
    forget: () => {
      localStorage.removeItem(draftKey(planId))
      setDismissed(true)
    },
  }
}
