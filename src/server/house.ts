import { z } from 'zod'
import type { HouseChange } from '@/db/repositories'
import type { HouseItem } from '@/domain/house/house-item'
import { houseItemDocument } from '@/domain/house/house-item'
import { standardProblem } from '@/domain/house/standards'
import { parseWith } from '@/domain/problem/parse'
import { fail, type Outcome, succeed } from '@/domain/problem/problem'
import { text } from '@/domain/schema/scalars'
import { signedAs } from './access/trail'
import { inKitchen } from './kitchen'

/** The use cases around a kitchen's own cuts, programs, ways and standards. */

export const houseItemsOf = (slug: string): Promise<Outcome<readonly HouseItem[]>> =>
  inKitchen(slug, 'read', async (scope) => succeed(await scope.listHouseItems()))

/** Who says so goes with it, where they say who they are. */
const signed = z.looseObject({ by: text(80).trim().default('') })

export const putHouseItem = (slug: string, value: unknown): Promise<Outcome<HouseItem>> =>
  inKitchen(slug, 'house', async (scope, actor) => {
    const who = parseWith(signed, value)
    if (!who.ok) return who
    const { by, ...said } = who.value
    const document = parseWith(houseItemDocument, said)
    if (!document.ok) return document
    const wrong = document.value.kind === 'standard' ? standardProblem(document.value) : undefined
    if (wrong) return fail({ code: 'malformed', path: ['name'], detail: `${document.value.name} ${wrong}` })
    return succeed(await scope.putHouseItem(document.value, signedAs(actor, by)))
  })

/** So many of the newest changes are shown. */
const CHANGES = 40
export const houseChangesOf = (slug: string): Promise<Outcome<readonly HouseChange[]>> =>
  inKitchen(slug, 'read', async (scope) => succeed(await scope.houseChanges(CHANGES)))

export const removeHouseItem = (slug: string, id: string, by: string): Promise<Outcome<{ removed: true }>> =>
  inKitchen<{ removed: true }>(slug, 'house', async (scope, actor) =>
    (await scope.removeHouseItem(id, signedAs(actor, by.trim().slice(0, 80))))
      ? succeed({ removed: true })
      : fail({ code: 'not_found', path: ['house item'], what: id }),
  )
