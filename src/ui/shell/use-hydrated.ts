'use client'
import { useSyncExternalStore } from 'react'

const never = () => () => {}

/** False while the server's markup stands alone, true once the browser has taken over: until then a control would lose what is typed. */
export const useHydrated = (): boolean =>
  useSyncExternalStore(
    never,
    () => true,
    () => false,
  )
