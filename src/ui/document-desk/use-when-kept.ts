import { useEffect, useRef, useState } from 'react'
import type { SaverSnapshot } from './saver'

/** Whether what others would be given is what is on the desk: yes, in a moment, or not before somebody does something. */
export type Standing = 'kept' | 'in_a_moment' | 'not_kept'

/**
 * How a desk stands to what the server has of it.
 * @param working its times are still being worked out, and go into the document
 */
export const standingOf = ({ clash, state }: SaverSnapshot<unknown>, working: boolean): Standing => {
  if (clash || state === 'offline' || state === 'refused') return 'not_kept'
  return working || state === 'saving' ? 'in_a_moment' : 'kept'
}

/** Does what is asked as soon as the desk stands: a board and a sheet are made from what is kept, not from what is shown. */
export function useWhenKept<What>(standing: Standing, act: (what: What, standing: Standing) => void) {
  const [asked, setAsked] = useState<{ readonly what: What } | undefined>()
  const latest = useRef(act)
  useEffect(() => {
    latest.current = act
  })
  useEffect(() => {
    if (!asked || standing === 'in_a_moment') return
    const soon = setTimeout(() => {
      setAsked(undefined)
      latest.current(asked.what, standing)
    })
    return () => clearTimeout(soon)
  }, [asked, standing])
  return { ask: (what: What) => setAsked({ what }), waits: asked !== undefined }
}
