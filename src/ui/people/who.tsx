'use client'
import { createContext, type ReactNode, useContext } from 'react'
import type { Actor } from '@/domain/people/actor'
import { type Action, LEAST_ROLE, mayDo, type Role } from '@/domain/people/roles'
import { ACTION_WORDS, ROLE_WORDS } from '@/words/people'
import { useKept } from '../shell/use-kept'

/** Who looks at this kitchen, and as what: said once, by its layout. */
export interface WhoHere {
  readonly kind: Actor['kind']
  readonly name: string
  readonly role: Role
  /** Who may stand at the stove, where many use one screen. */
  readonly names: readonly { readonly personId: string; readonly name: string }[]
  /** Whether each says a number of their own first. */
  readonly pins: boolean
  /** Where this installation is reached from the kitchen's network; undefined: from its own machine only. */
  readonly base: string | undefined
}

const Here = createContext<WhoHere | undefined>(undefined)

export const WhoProvider = ({ who, children }: { readonly who: WhoHere; readonly children: ReactNode }) => (
  <Here value={who}>{children}</Here>
)

export const useWho = (): WhoHere | undefined => useContext(Here)

/** Whether whoever looks may do something; outside a kitchen nobody is held back, and the server still says no. */
export const useMay = (action: Action): boolean => {
  const who = useContext(Here)
  return who === undefined || mayDo(who.role, action)
}

/** Under what name something is kept: one's own where one is signed in, else as it is typed on this device. */
export function useSigning(): readonly [name: string, set: (name: string) => void, fixed: boolean] {
  const who = useContext(Here)
  const [typed, set] = useKept('pheasant-name', '')
  return who?.kind === 'person' ? [who.name, () => {}, true] : [typed, set, false]
}

/** What only some may do is not shown to the others. */
export const For = ({ action, children }: { readonly action: Action; readonly children: ReactNode }) =>
  useMay(action) ? children : null

/** What only some may change is shown to the others as it stands, with who may. */
export function Locked({ action, children }: { readonly action: Action; readonly children: ReactNode }) {
  const may = useMay(action)
  return (
    <>
      {!may && (
        <p className="mb-4 rounded-2xl border border-line px-4 py-2 text-lg text-soft" data-testid="locked">
          It takes a {ROLE_WORDS[LEAST_ROLE[action]]} to {ACTION_WORDS[action]} here: you see it as it stands.
        </p>
      )}
      <fieldset disabled={!may} className="contents">
        {children}
      </fieldset>
    </>
  )
}
