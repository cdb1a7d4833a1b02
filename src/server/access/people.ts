import { z } from 'zod'
import {
  addTablet,
  endSession,
  endSessions,
  isClaimed,
  keepAudit,
  kitchensOfPerson,
  type MemberRow,
  openInvitation,
  peopleShelf,
  removePerson,
  sessionsOf,
  setMember,
  soleOwnerOf,
  takeInvitation,
  tellOfNews,
} from '@/db/people'
import { addKitchen, closeKitchen, type KitchenRow, type KitchenScope, listKitchens } from '@/db/repositories'
import { type Actor, whoOf } from '@/domain/people/actor'
import { ROLES, type Role } from '@/domain/people/roles'
import { parseWith } from '@/domain/problem/parse'
import { fail, type Outcome, succeed } from '@/domain/problem/problem'
import { text } from '@/domain/schema/scalars'
import { environment } from '../environment'
import { inKitchen, withDatabase } from '../kitchen'
import { database } from '../rooms'
import { actorNow, requestHeaders } from './actor'
import { addressOf } from './door'
import { forgive, within } from './limiter'
import { hashOf, newSecret, pinHashOf, sameHash } from './secrets'
import { isTaken, makePerson, PASSWORD, signInFor, USERNAME, USERNAME_SHAPE } from './sign-in'
import { keepTrail } from './trail'

/** The use cases of who belongs to a kitchen: claiming, inviting, joining, roles, tablets, sessions. */

const DAY_MS = 86_400_000
/** A way in is open so long. */
const INVITATION_DAYS = { person: 7, tablet: 1 } as const

const shelfOf = (scope: KitchenScope) => peopleShelf(database(), scope.kitchen, scope.who)
const gone = (what: string) => fail({ code: 'not_found', path: [what], what })
const INVITATION_GONE = fail({
  code: 'malformed',
  path: ['token'],
  detail: 'this way in was used, withdrawn or has ended: ask for a new one',
})

const personPart = z.strictObject({
  name: text(60).trim().min(1),
  username: text(USERNAME.most)
    .trim()
    .min(USERNAME.least)
    .regex(USERNAME_SHAPE, 'letters, digits, dot, dash and underscore'),
  password: z.string().min(PASSWORD.least).max(PASSWORD.most),
})

const from = async (): Promise<{ readonly given: Headers; readonly address: string }> => {
  const given = (await requestHeaders()) ?? new Headers()
  return { given, address: addressOf(given) }
}

/** What a way in opens, for its page. */
export interface WayIn {
  readonly of: 'claim' | 'person' | 'tablet'
  readonly role: Role
  readonly kitchen: string | undefined
  readonly ends: string
}

/** What a secret opens; counted where it opens nothing. One that opens does so however often others were tried. */
async function wayIn(token: string): Promise<Outcome<Awaited<ReturnType<typeof openInvitation>> & object>> {
  const found = await openInvitation(database(), hashOf(token))
  if (found) return succeed(found)
  const often = await within('way_in', (await from()).address)
  return often.ok ? INVITATION_GONE : often
}

export const lookAtWayIn = (token: string): Promise<Outcome<WayIn>> =>
  withDatabase(async () => {
    const found = await wayIn(token)
    if (!found.ok) return found
    const { invitation, kitchen } = found.value
    return succeed({
      of: invitation.of,
      role: invitation.role,
      kitchen: kitchen?.name,
      ends: invitation.expiresAt.toISOString(),
    })
  })

/** What came of signing in: its cookies, to be sent on. */
export interface Welcome {
  readonly kitchen: string
  readonly cookies: readonly string[]
}

async function signIn(given: Headers, username: string, password: string): Promise<readonly string[]> {
  const auth = await signInFor(given)
  const answer = await auth.api.signInUsername({
    body: { username, password },
    headers: new Headers(given),
    asResponse: true,
  })
  return answer.headers.getSetCookie()
}

const slugOf = (name: string) =>
  name
    .normalize('NFKD')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 40) || 'kitchen'

/** A kitchen of a name: whoever else has one like it, each has an address of its own, also of two at once. */
async function newKitchen(name: string): Promise<KitchenRow> {
  const timeZone = environment().PHEASANT_TIME_ZONE
  const base = slugOf(name)
  for (let i = 1; ; i++) {
    const made = await addKitchen(database(), { slug: i === 1 ? base : `${base}-${i}`, name, timeZone })
    if (made) return made
  }
}

const claiming = personPart.extend({ token: text(100), kitchen: text(60).trim().min(1).nullable().default(null) })

/** The first owner: they own every kitchen that is there, and one of their own where they name it. */
export const claim = (value: unknown): Promise<Outcome<Welcome>> =>
  withDatabase(async () => {
    const asked = parseWith(claiming, value)
    if (!asked.ok) return asked
    const found = await wayIn(asked.value.token)
    if (!found.ok) return found
    if (found.value.invitation.of !== 'claim' || (await isClaimed(database()))) return INVITATION_GONE
    const { given } = await from()
    const used = await takeInvitation(database(), hashOf(asked.value.token), 'owner')
    if (!used) return INVITATION_GONE
    const made = await makePerson(given, asked.value)
    if (made === 'taken') return takenName()
    const own = asked.value.kitchen === null ? undefined : await newKitchen(asked.value.kitchen)
    const kitchens = await listKitchens(database())
    for (const kitchen of kitchens) await setMember(database(), kitchen.id, made.id, 'owner')
    const who = { id: made.id, name: asked.value.name }
    for (const kitchen of kitchens)
      await keepAudit(database(), who, { kitchenId: kitchen.id, what: 'claimed', about: '' })
    return succeed({
      kitchen: (own ?? kitchens[0])?.slug ?? '',
      cookies: await signIn(given, asked.value.username, asked.value.password),
    })
  })

const takenName = () =>
  fail({ code: 'malformed', path: ['username'], detail: 'somebody here has that sign-in name: choose another' })

const joining = z.union([
  personPart.extend({ token: text(100) }),
  /** Somebody who is signed in already. */
  z.strictObject({ token: text(100) }),
])

/** Takes an invitation: as somebody new, or as who is signed in. */
export const join = (value: unknown): Promise<Outcome<Welcome>> =>
  withDatabase(async () => {
    const asked = parseWith(joining, value)
    if (!asked.ok) return asked
    const found = await wayIn(asked.value.token)
    if (!found.ok) return found
    const { invitation, kitchen } = found.value
    if (invitation.of !== 'person' || !kitchen) return INVITATION_GONE
    const { given } = await from()
    const actor = await actorNow()
    if (!('username' in asked.value) && actor.kind !== 'person') return fail({ code: 'not_signed_in', path: [] })
    if ('username' in asked.value && (await isTaken(given, asked.value.username))) return takenName()
    const used = await takeInvitation(database(), hashOf(asked.value.token), actor.kind === 'person' ? actor.id : 'new')
    if (!used) return INVITATION_GONE
    let who = whoOf(actor)
    let cookies: readonly string[] = []
    if ('username' in asked.value) {
      const made = await makePerson(given, asked.value)
      if (made === 'taken') return takenName()
      who = { id: made.id, name: asked.value.name }
      cookies = await signIn(given, asked.value.username, asked.value.password)
    }
    await setMember(database(), kitchen.id, who.id, invitation.role)
    await keepAudit(database(), who, {
      kitchenId: kitchen.id,
      what: 'joined',
      about: who.id,
      detail: { role: invitation.role },
    })
    await tellOfNews(database(), kitchen.id)
    return succeed({ kitchen: kitchen.slug, cookies })
  })

const scanning = z.strictObject({ token: text(100), name: text(40).trim().min(1) })

/** A tablet is let in; its secret becomes its cookie. */
export const joinTablet = (value: unknown): Promise<Outcome<{ readonly kitchen: string; readonly secret: string }>> =>
  withDatabase(async () => {
    const asked = parseWith(scanning, value)
    if (!asked.ok) return asked
    const found = await wayIn(asked.value.token)
    if (!found.ok) return found
    const { invitation, kitchen } = found.value
    if (invitation.of !== 'tablet' || !kitchen) return INVITATION_GONE
    const secret = newSecret()
    const tablet = await addTablet(database(), hashOf(asked.value.token), asked.value.name, hashOf(secret))
    return tablet ? succeed({ kitchen: kitchen.slug, secret }) : INVITATION_GONE
  })

/** Everything the page of a kitchen's people shows. */
export const peopleOf = (slug: string) =>
  inKitchen(slug, 'people', async (scope) => {
    const shelf = shelfOf(scope)
    const [members, invitations, tablets, trail] = await Promise.all([
      shelf.members(),
      shelf.invitations(),
      shelf.tablets(),
      shelf.trail(60),
    ])
    return succeed({ members, invitations, tablets, trail })
  })

/** Who belongs to a kitchen, by name: for saying who is at the stove. */
export const namesOf = (slug: string): Promise<Outcome<readonly Pick<MemberRow, 'personId' | 'name'>[]>> =>
  inKitchen(slug, 'read', async (scope) =>
    succeed(
      (await shelfOf(scope).members())
        .filter(({ role }) => role !== 'guest')
        .map(({ personId, name }) => ({ personId, name })),
    ),
  )

const inviting = z.strictObject({ of: z.enum(['person', 'tablet']), role: z.enum(ROLES).default('cook') })

/** Makes a way in; its secret is shown this once. */
export const invite = (
  slug: string,
  value: unknown,
): Promise<Outcome<{ readonly id: string; readonly token: string }>> =>
  inKitchen(slug, 'people', async (scope, actor) => {
    const asked = parseWith(inviting, value)
    if (!asked.ok) return asked
    // Somebody let in before there is an owner would be nobody's guest.
    if (actor.kind === 'demo')
      return fail({
        code: 'malformed',
        path: [],
        detail: 'nobody owns this installation yet: claim it first, by the address that npm start prints',
      })
    const often = await within('hand_out', scope.who.id)
    if (!often.ok) return often
    const { of } = asked.value
    const token = newSecret()
    const ends = new Date(Date.now() + INVITATION_DAYS[of] * DAY_MS)
    const row = await shelfOf(scope).invite(of, of === 'tablet' ? 'cook' : asked.value.role, hashOf(token), ends)
    return succeed({ id: row.id, token })
  })

export const withdraw = (slug: string, id: string): Promise<Outcome<{ removed: true }>> =>
  inKitchen<{ removed: true }>(slug, 'people', async (scope) =>
    (await shelfOf(scope).withdraw(id)) ? succeed({ removed: true }) : gone('invitation'),
  )

const LAST_OWNER = fail({
  code: 'malformed',
  path: ['role'],
  detail: 'nobody else owns this kitchen: make somebody else an owner first',
})

export const setRole = (slug: string, personId: string, value: unknown): Promise<Outcome<{ kept: true }>> =>
  inKitchen<{ kept: true }>(slug, 'people', async (scope) => {
    const asked = parseWith(z.strictObject({ role: z.enum(ROLES) }), value)
    if (!asked.ok) return asked
    const done = await shelfOf(scope).setRole(personId, asked.value.role)
    return done === 'set' ? succeed({ kept: true }) : done === 'last_owner' ? LAST_OWNER : gone('person')
  })

export const putOut = (slug: string, personId: string): Promise<Outcome<{ removed: true }>> =>
  inKitchen<{ removed: true }>(slug, 'people', async (scope) => {
    const done = await shelfOf(scope).putOut(personId)
    return done === 'gone' ? succeed({ removed: true }) : done === 'last_owner' ? LAST_OWNER : gone('person')
  })

export const takeOutTablet = (slug: string, id: string): Promise<Outcome<{ removed: true }>> =>
  inKitchen<{ removed: true }>(slug, 'people', async (scope) =>
    (await shelfOf(scope).takeOut(id)) ? succeed({ removed: true }) : gone('tablet'),
  )

/** Whether shared tablets ask for a number. */
export const askForPins = (slug: string, value: unknown): Promise<Outcome<{ kept: true }>> =>
  inKitchen<{ kept: true }>(slug, 'people', async (scope) => {
    const asked = parseWith(z.strictObject({ pins: z.boolean() }), value)
    if (!asked.ok) return asked
    await scope.setPins(asked.value.pins)
    await keepTrail(scope, 'pins', '', { on: asked.value.pins })
    return succeed({ kept: true })
  })

const PIN = z.string().regex(/^\d{4,8}$/, 'four to eight digits')

/** Sets the number that whoever asks says at shared tablets of this kitchen. */
export const setPin = (slug: string, value: unknown): Promise<Outcome<{ kept: true }>> =>
  inKitchen<{ kept: true }>(slug, 'read', async (scope, actor) => {
    const asked = parseWith(z.strictObject({ pin: PIN.nullable() }), value)
    if (!asked.ok) return asked
    if (actor.kind !== 'person') return fail({ code: 'not_signed_in', path: [] })
    const { pin } = asked.value
    const set = await shelfOf(scope).setPin(actor.id, pin === null ? null : pinHashOf(actor.id, pin))
    return set ? succeed({ kept: true }) : gone('person')
  })

const standing = z.strictObject({ person: text(60), pin: z.string().max(8).nullable().default(null) })

/** Somebody says they are at the stove, on a tablet that many use. */
export const atTheStove = (slug: string, value: unknown): Promise<Outcome<{ readonly name: string }>> =>
  inKitchen(slug, 'cook', async (scope) => {
    const asked = parseWith(standing, value)
    if (!asked.ok) return asked
    const { person, pin } = asked.value
    const shelf = shelfOf(scope)
    const member = (await shelf.members()).find(({ personId }) => personId === person)
    if (!member) return gone('person')
    if (!scope.kitchen.pins) return succeed({ name: member.name })
    const key = `${scope.kitchen.id} ${person}`
    const often = await within('pin', key)
    if (!often.ok) return often
    const held = await shelf.pinOf(person)
    if (held == null || pin === null || !sameHash(held, pinHashOf(person, pin)))
      return fail({ code: 'malformed', path: ['pin'], detail: 'that is not their number' })
    await forgive('pin', key)
    return succeed({ name: member.name })
  })

/** What somebody is, and where they are signed in. */
export const me = () =>
  withDatabase<{ readonly actor: Actor; readonly sessions: Awaited<ReturnType<typeof sessionsOf>> }>(async () => {
    const actor = await actorNow()
    return succeed({ actor, sessions: actor.kind === 'person' ? await sessionsOf(database(), actor.id) : [] })
  })

const asPerson = <Value>(work: (actor: Actor & { kind: 'person' }) => Promise<Outcome<Value>>) =>
  withDatabase(async () => {
    const actor = await actorNow()
    return actor.kind === 'person' ? work(actor) : fail({ code: 'not_signed_in', path: [] })
  })

export const endMySession = (id: string): Promise<Outcome<{ removed: true }>> =>
  asPerson<{ removed: true }>(async (actor) =>
    (await endSession(database(), actor.id, id)) ? succeed({ removed: true }) : gone('session'),
  )

/** Signs out everywhere else. */
export const endMyOtherSessions = (): Promise<Outcome<{ removed: true }>> =>
  asPerson<{ removed: true }>(async (actor) => {
    await endSessions(database(), actor.id, actor.session)
    return succeed({ removed: true })
  })

/** Somebody takes their sign-in away: what they did stays, under their name. */
export const removeMe = (): Promise<Outcome<{ removed: true }>> =>
  asPerson<{ removed: true }>(async (actor) => {
    const alone = await soleOwnerOf(database(), actor.id)
    if (alone.length > 0)
      return fail({
        code: 'malformed',
        path: [],
        detail: `nobody else owns ${alone.join(', ')}: make somebody else an owner, or close it first`,
      })
    await removePerson(database(), whoOf(actor))
    return succeed({ removed: true })
  })

/** Opens another kitchen, for whoever owns one. */
export const openAnother = (value: unknown): Promise<Outcome<{ readonly slug: string }>> =>
  asPerson(async (actor) => {
    const asked = parseWith(z.strictObject({ name: text(60).trim().min(1) }), value)
    if (!asked.ok) return asked
    const often = await within('hand_out', actor.id)
    if (!often.ok) return often
    const owns = (await kitchensOfPerson(database(), actor.id)).length > 0
    if (!owns) return fail({ code: 'not_allowed', path: [], role: 'guest', least: 'owner' })
    const kitchen = await newKitchen(asked.value.name)
    await setMember(database(), kitchen.id, actor.id, 'owner')
    await keepAudit(database(), whoOf(actor), {
      kitchenId: kitchen.id,
      what: 'kitchen',
      about: '',
      detail: { name: kitchen.name },
    })
    return succeed({ slug: kitchen.slug })
  })

/** Gives a kitchen up: what is in it goes, its record stays, and nobody comes in any more. */
export const giveUpKitchen = (slug: string, value: unknown): Promise<Outcome<{ removed: true }>> =>
  inKitchen<{ removed: true }>(slug, 'whole', async (scope) => {
    const asked = parseWith(z.strictObject({ name: text(60) }), value)
    if (!asked.ok) return asked
    if (asked.value.name.trim() !== scope.kitchen.name)
      return fail({ code: 'malformed', path: ['name'], detail: `type its name to close it: ${scope.kitchen.name}` })
    await keepTrail(scope, 'closed', '')
    await closeKitchen(database(), scope.kitchen)
    return succeed({ removed: true })
  })
