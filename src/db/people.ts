import { and, asc, desc, eq, getTableColumns, gt, inArray, isNull, ne, sql } from 'drizzle-orm'
import type { Role } from '@/domain/people/roles'
import type { Database } from './connection'
import { newId } from './ids'
import { accounts, addresses, audit, invitations, members, people, sessions, tablets } from './people-schema'
import { type KitchenRow, notice, type Who } from './repositories'
import { kitchens } from './schema'

/** Who may come in, and by what. Secrets come here as their hashes. */

export type InvitationRow = Omit<typeof invitations.$inferSelect, 'tokenHash'>
export type TabletRow = Omit<typeof tablets.$inferSelect, 'tokenHash'>
export type AddressRow = Omit<typeof addresses.$inferSelect, 'tokenHash'>
export type AuditRow = typeof audit.$inferSelect
export interface MemberRow {
  readonly personId: string
  readonly name: string
  readonly username: string
  readonly role: Role
  readonly pin: boolean
  readonly createdAt: Date
}

/** All of a table's columns but the hash of its secret. */
const shown = <Columns extends { tokenHash: unknown }>(columns: Columns): Omit<Columns, 'tokenHash'> =>
  Object.fromEntries(Object.entries(columns).filter(([name]) => name !== 'tokenHash')) as Omit<Columns, 'tokenHash'>
const INVITATION = shown(getTableColumns(invitations))
const TABLET = shown(getTableColumns(tablets))
const ADDRESS = shown(getTableColumns(addresses))

type Session = Pick<Database, 'select' | 'insert' | 'update' | 'delete' | 'execute'>

/** Whether somebody owns this installation. */
export const isClaimed = async (db: Database): Promise<boolean> =>
  (await db.select({ id: members.personId }).from(members).where(eq(members.role, 'owner')).limit(1)).length > 0

/** What a person is in a kitchen. */
export async function memberRole(db: Database, kitchenId: string, personId: string): Promise<Role | undefined> {
  const [row] = await db
    .select({ role: members.role })
    .from(members)
    .where(and(eq(members.kitchenId, kitchenId), eq(members.personId, personId)))
  return row?.role
}

/** The kitchens a person belongs to, oldest first. */
export const kitchensOfPerson = (db: Database, personId: string): Promise<KitchenRow[]> =>
  db
    .select({ kitchen: kitchens })
    .from(kitchens)
    .innerJoin(members, eq(members.kitchenId, kitchens.id))
    .where(and(eq(members.personId, personId), isNull(kitchens.closedAt)))
    .orderBy(asc(kitchens.createdAt), asc(kitchens.id))
    .then((rows) => rows.map(({ kitchen }) => kitchen))

/** The tablet a secret belongs to, seen now; undefined where it was put out. */
export async function tabletByToken(db: Database, tokenHash: string): Promise<TabletRow | undefined> {
  const [row] = await db
    .select(TABLET)
    .from(tablets)
    .where(and(eq(tablets.tokenHash, tokenHash), isNull(tablets.revokedAt)))
  if (row && (row.seenAt === null || row.seenAt.getTime() < Date.now() - 60_000))
    await db.update(tablets).set({ seenAt: sql`now()` }).where(eq(tablets.id, row.id))
  return row
}

const open = (tokenHash: string) =>
  and(
    eq(invitations.tokenHash, tokenHash),
    isNull(invitations.usedAt),
    isNull(invitations.revokedAt),
    gt(invitations.expiresAt, sql`now()`),
  )

/** A way in that still opens, with the kitchen it opens. */
export async function openInvitation(
  db: Database,
  tokenHash: string,
): Promise<{ readonly invitation: InvitationRow; readonly kitchen: KitchenRow | null } | undefined> {
  const [row] = await db
    .select({ invitation: INVITATION, kitchen: kitchens })
    .from(invitations)
    .leftJoin(kitchens, eq(kitchens.id, invitations.kitchenId))
    .where(open(tokenHash))
  return row && (row.kitchen === null || row.kitchen.closedAt === null) ? row : undefined
}

/** Takes a way in: once, whoever is first. */
export async function takeInvitation(tx: Session, tokenHash: string, by: string): Promise<InvitationRow | undefined> {
  const [row] = await tx
    .update(invitations)
    .set({ usedAt: sql`now()`, usedBy: by })
    .where(open(tokenHash))
    .returning(INVITATION)
  return row
}

/** The one-time address of the first owner: a new one takes the place of those before it. */
export const makeClaim = (db: Database, tokenHash: string, expiresAt: Date): Promise<void> =>
  db.transaction(async (tx) => {
    await tx.delete(invitations).where(and(eq(invitations.of, 'claim'), isNull(invitations.usedAt)))
    await tx
      .insert(invitations)
      .values({ id: newId('inv'), of: 'claim', role: 'owner', tokenHash, madeBy: 'house', expiresAt })
  })

/** Adds somebody to a kitchen, or gives them another role in it. */
export const setMember = async (tx: Session, kitchenId: string, personId: string, role: Role): Promise<void> => {
  await tx
    .insert(members)
    .values({ kitchenId, personId, role })
    .onConflictDoUpdate({ target: [members.kitchenId, members.personId], set: { role } })
}

/** Keeps a line of the trail. */
export const keepAudit = async (
  tx: Session,
  who: Who,
  row: Pick<typeof audit.$inferInsert, 'kitchenId' | 'what' | 'about' | 'detail'>,
): Promise<void> => {
  await tx.insert(audit).values({ ...row, who: who.id, whoName: who.name })
}

const tell = (tx: Session, kitchenId: string, what: string) =>
  tx.execute(sql`select ${notice({ kitchen: kitchenId, what, id: '', version: 0 })}`)
/** Tells whoever looks at a kitchen's people that somebody came. */
export const tellOfNews = (tx: Session, kitchenId: string) => tell(tx, kitchenId, 'people')
/** Tells every server that somebody's way in is another: streams are opened anew, and what is remembered is forgotten. */
const tellOfAccess = (tx: Session, kitchenId: string) => tell(tx, kitchenId, 'access')

/** People, tablets and addresses of one kitchen. */
export function peopleShelf(db: Database, kitchen: KitchenRow, who: Who) {
  const said = (what: string, about: string, detail?: Readonly<Record<string, string | number | boolean | null>>) =>
    ({ kitchenId: kitchen.id, what, about, detail: detail ?? null }) as const
  return {
    members: async (): Promise<MemberRow[]> =>
      (
        await db
          .select({
            personId: members.personId,
            name: people.name,
            username: people.username,
            role: members.role,
            pinHash: members.pinHash,
            createdAt: members.createdAt,
          })
          .from(members)
          .innerJoin(people, eq(people.id, members.personId))
          .where(eq(members.kitchenId, kitchen.id))
          .orderBy(asc(members.createdAt))
      ).map(({ pinHash, username, ...row }) => ({ ...row, username: username ?? '', pin: pinHash !== null })),
    invitations: (): Promise<InvitationRow[]> =>
      db
        .select(INVITATION)
        .from(invitations)
        .where(
          and(
            eq(invitations.kitchenId, kitchen.id),
            isNull(invitations.usedAt),
            isNull(invitations.revokedAt),
            gt(invitations.expiresAt, sql`now()`),
          ),
        )
        .orderBy(desc(invitations.createdAt)),
    tablets: (): Promise<TabletRow[]> =>
      db
        .select(TABLET)
        .from(tablets)
        .where(and(eq(tablets.kitchenId, kitchen.id), isNull(tablets.revokedAt)))
        .orderBy(asc(tablets.createdAt)),
    addresses: (): Promise<AddressRow[]> =>
      db
        .select(ADDRESS)
        .from(addresses)
        .where(
          and(eq(addresses.kitchenId, kitchen.id), isNull(addresses.revokedAt), gt(addresses.expiresAt, sql`now()`)),
        )
        .orderBy(desc(addresses.createdAt)),
    trail: (most: number): Promise<AuditRow[]> =>
      db.select().from(audit).where(eq(audit.kitchenId, kitchen.id)).orderBy(desc(audit.id)).limit(most),
    keep: (what: string, about: string, detail?: Parameters<typeof said>[2]) =>
      keepAudit(db, who, said(what, about, detail)),
    invite: (of: 'person' | 'tablet', role: Role, tokenHash: string, expiresAt: Date): Promise<InvitationRow> =>
      db.transaction(async (tx) => {
        const [row] = await tx
          .insert(invitations)
          .values({ id: newId('inv'), kitchenId: kitchen.id, of, role, tokenHash, madeBy: who.id, expiresAt })
          .returning(INVITATION)
        if (!row) throw new Error('an invitation came back empty')
        await keepAudit(tx, who, said('invited', row.id, { of, role }))
        return row
      }),
    withdraw: (id: string): Promise<boolean> =>
      db.transaction(async (tx) => {
        const rows = await tx
          .update(invitations)
          .set({ revokedAt: sql`now()` })
          .where(
            and(
              eq(invitations.kitchenId, kitchen.id),
              eq(invitations.id, id),
              isNull(invitations.usedAt),
              isNull(invitations.revokedAt),
            ),
          )
          .returning({ id: invitations.id })
        if (rows.length > 0) await keepAudit(tx, who, said('withdrew', id))
        return rows.length > 0
      }),
    /** Another role; 'last_owner' where nobody would own the kitchen any more. */
    setRole: (personId: string, role: Role): Promise<'set' | 'missing' | 'last_owner'> =>
      db.transaction(async (tx) => {
        const left = await ownersBut(tx, kitchen.id, personId)
        if (role !== 'owner' && left === 0) return 'last_owner'
        const rows = await tx
          .update(members)
          .set({ role })
          .where(and(eq(members.kitchenId, kitchen.id), eq(members.personId, personId)))
          .returning({ id: members.personId })
        if (rows.length === 0) return 'missing'
        await keepAudit(tx, who, said('role', personId, { role }))
        await tellOfAccess(tx, kitchen.id)
        return 'set'
      }),
    putOut: (personId: string): Promise<'gone' | 'missing' | 'last_owner'> =>
      db.transaction(async (tx) => {
        if ((await ownersBut(tx, kitchen.id, personId)) === 0) return 'last_owner'
        const rows = await tx
          .delete(members)
          .where(and(eq(members.kitchenId, kitchen.id), eq(members.personId, personId)))
          .returning({ id: members.personId })
        if (rows.length === 0) return 'missing'
        await keepAudit(tx, who, said('put_out', personId))
        await tellOfAccess(tx, kitchen.id)
        return 'gone'
      }),
    setPin: async (personId: string, pinHash: string | null): Promise<boolean> => {
      const rows = await db
        .update(members)
        .set({ pinHash })
        .where(and(eq(members.kitchenId, kitchen.id), eq(members.personId, personId)))
        .returning({ id: members.personId })
      return rows.length > 0
    },
    pinOf: async (personId: string): Promise<string | null | undefined> =>
      (
        await db
          .select({ pinHash: members.pinHash })
          .from(members)
          .where(and(eq(members.kitchenId, kitchen.id), eq(members.personId, personId)))
      )[0]?.pinHash,
    takeOut: (id: string): Promise<boolean> =>
      db.transaction(async (tx) => {
        const rows = await tx
          .update(tablets)
          .set({ revokedAt: sql`now()` })
          .where(and(eq(tablets.kitchenId, kitchen.id), eq(tablets.id, id), isNull(tablets.revokedAt)))
          .returning({ name: tablets.name })
        if (rows.length === 0) return false
        await keepAudit(tx, who, said('tablet_out', id, { name: rows[0]?.name ?? '' }))
        await tellOfAccess(tx, kitchen.id)
        return true
      }),
    makeAddress: (
      of: AddressRow['of'],
      thing: string | null,
      name: string,
      tokenHash: string,
      expiresAt: Date,
    ): Promise<AddressRow> =>
      db.transaction(async (tx) => {
        const [row] = await tx
          .insert(addresses)
          .values({ id: newId('adr'), kitchenId: kitchen.id, of, thing, name, tokenHash, madeBy: who.id, expiresAt })
          .returning(ADDRESS)
        if (!row) throw new Error('an address came back empty')
        await keepAudit(tx, who, said('shared', row.id, { of, name }))
        return row
      }),
    closeAddress: (id: string): Promise<boolean> =>
      db.transaction(async (tx) => {
        const rows = await tx
          .update(addresses)
          .set({ revokedAt: sql`now()` })
          .where(and(eq(addresses.kitchenId, kitchen.id), eq(addresses.id, id), isNull(addresses.revokedAt)))
          .returning({ id: addresses.id })
        if (rows.length > 0) await keepAudit(tx, who, said('unshared', id))
        return rows.length > 0
      }),
  }
}

/** Owners of a kitchen besides one person: at least one stays. */
async function ownersBut(tx: Session, kitchenId: string, personId: string): Promise<number> {
  // Both of two that put each other out wait here for one another.
  await tx.execute(sql`select pg_advisory_xact_lock(hashtextextended(${`owners ${kitchenId}`}, 0))`)
  const rows = await tx
    .select({ id: members.personId })
    .from(members)
    .where(and(eq(members.kitchenId, kitchenId), eq(members.role, 'owner'), ne(members.personId, personId)))
  return rows.length
}

/** Lets a tablet in, by a way in that was made for one. */
export const addTablet = (
  db: Database,
  invitationHash: string,
  name: string,
  tokenHash: string,
): Promise<TabletRow | undefined> =>
  db.transaction(async (tx) => {
    const id = newId('tab')
    const used = await takeInvitation(tx, invitationHash, id)
    if (used?.of !== 'tablet' || used.kitchenId === null) return undefined
    const [row] = await tx
      .insert(tablets)
      .values({ id, kitchenId: used.kitchenId, name, tokenHash, madeBy: used.madeBy })
      .returning(TABLET)
    await keepAudit(tx, { id, name }, { kitchenId: used.kitchenId, what: 'tablet_in', about: id, detail: { name } })
    await tellOfNews(tx, used.kitchenId)
    return row
  })

/** What an address opens, counted as used; undefined where it opens nothing any more. */
export async function openAddress(
  db: Database,
  tokenHash: string,
): Promise<{ readonly address: AddressRow; readonly kitchen: KitchenRow } | undefined> {
  const [address] = await db
    .update(addresses)
    .set({ uses: sql`${addresses.uses} + 1`, usedAt: sql`now()` })
    .where(and(eq(addresses.tokenHash, tokenHash), isNull(addresses.revokedAt), gt(addresses.expiresAt, sql`now()`)))
    .returning(ADDRESS)
  if (!address) return undefined
  const [kitchen] = await db
    .select()
    .from(kitchens)
    .where(and(eq(kitchens.id, address.kitchenId), isNull(kitchens.closedAt)))
  return kitchen && { address, kitchen }
}

/** What a person had open in any kitchen asks again who it is for. */
export async function tellKitchensOf(db: Session, personId: string): Promise<void> {
  const own = await db.select({ id: members.kitchenId }).from(members).where(eq(members.personId, personId))
  for (const { id } of own) await tellOfAccess(db, id)
}

/** Everyone's sessions of a person end, or all but one. */
export const endSessions = async (db: Database, personId: string, but = ''): Promise<void> => {
  await db.delete(sessions).where(and(eq(sessions.userId, personId), ne(sessions.id, but)))
  await tellKitchensOf(db, personId)
}

export const sessionsOf = (db: Database, personId: string) =>
  db
    .select({
      id: sessions.id,
      createdAt: sessions.createdAt,
      updatedAt: sessions.updatedAt,
      userAgent: sessions.userAgent,
      ipAddress: sessions.ipAddress,
    })
    .from(sessions)
    .where(and(eq(sessions.userId, personId), gt(sessions.expiresAt, sql`now()`)))
    .orderBy(desc(sessions.updatedAt))

export const endSession = async (db: Database, personId: string, id: string): Promise<boolean> => {
  const gone = await db
    .delete(sessions)
    .where(and(eq(sessions.userId, personId), eq(sessions.id, id)))
    .returning({ id: sessions.id })
  if (gone.length > 0) await tellKitchensOf(db, personId)
  return gone.length > 0
}

/** Kitchens in which nobody but this person is an owner: they would be nobody's without them. */
export const soleOwnerOf = async (db: Database, personId: string): Promise<string[]> => {
  const own = db
    .select({ id: members.kitchenId })
    .from(members)
    .where(and(eq(members.personId, personId), eq(members.role, 'owner')))
  const rows = await db
    .select({
      name: kitchens.name,
      others: sql<number>`count(*) filter (where ${members.personId} <> ${personId} and ${members.role} = 'owner')::int`,
    })
    .from(kitchens)
    .innerJoin(members, eq(members.kitchenId, kitchens.id))
    .where(and(inArray(kitchens.id, own), isNull(kitchens.closedAt)))
    .groupBy(kitchens.id)
  return rows.flatMap(({ name, others }) => (others === 0 ? [name] : []))
}

/** A person goes: what they did stays, under the name it was done by. */
export const removePerson = (db: Database, who: Who): Promise<void> =>
  db.transaction(async (tx) => {
    const own = await tx.select({ id: members.kitchenId }).from(members).where(eq(members.personId, who.id))
    for (const { id } of own) {
      await keepAudit(tx, who, { kitchenId: id, what: 'left', about: who.id })
      await tellOfAccess(tx, id)
    }
    await tx.delete(accounts).where(eq(accounts.userId, who.id))
    await tx.delete(people).where(eq(people.id, who.id))
  })
