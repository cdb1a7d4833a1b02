import { randomBytes } from 'node:crypto'
import { eq, sql } from 'drizzle-orm'
import fc from 'fast-check'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { cookShelf } from '@/db/cooks'
import { peopleShelf, setMember } from '@/db/people'
import { audit, invitations, members, people, sessions } from '@/db/people-schema'
import { type KitchenScope, openKitchen } from '@/db/repositories'
import { within } from '@/db/within'
import type { Actor } from '@/domain/people/actor'
import { planDocument } from '@/domain/roast/roast-document'
import { freshKitchen, openTestDatabase } from './kitchen'

process.env.DATABASE_URL = process.env.TEST_DATABASE_URL
const { db, close } = openTestDatabase()
afterAll(close)

const ways = () => import('@/server/access/people')
const signing = () => import('@/server/access/sign-in-requests')
const acting = async <Value>(actor: Actor, work: () => Promise<Value>) =>
  (await import('@/server/access/actor')).actAs(actor, work)
type Answered<Value> =
  | { ok: true; value: Value }
  | { ok: false; problems: readonly { code: string; detail?: string }[] }
const must = <Value>(outcome: Answered<Value>): Value => {
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.problems))
  return outcome.value
}
const code = (outcome: Answered<unknown>) => (outcome.ok ? 'ok' : outcome.problems[0]?.code)
const unique = () => randomBytes(6).toString('hex')
const PASSWORD = 'a long enough one'

let scope: KitchenScope
let owner: Actor & { kind: 'person' }

/** Somebody new of the kitchen, by an invitation. */
async function joined(
  role: 'owner' | 'head_cook' | 'cook' | 'guest',
): Promise<Actor & { kind: 'person'; username: string }> {
  const { invite, join } = await ways()
  const { token } = must(await acting(owner, () => invite(scope.kitchen.slug, { of: 'person', role })))
  const username = `p${unique()}`
  const { cookies } = must(
    await acting({ kind: 'nobody' }, () => join({ token, name: `Person ${username}`, username, password: PASSWORD })),
  )
  expect(cookies.join()).toContain('pheasant.session_token=')
  const [row] = await db.select().from(people).where(eq(people.username, username))
  if (!row) throw new Error('nobody joined')
  return { kind: 'person', id: row.id, name: row.name, session: 'none', username }
}
/** A request to sign in, from an address of its own. */
const request = (from = unique(), cookie = '') =>
  new Request('http://127.0.0.1:3140/api/auth/sign-in/username', {
    method: 'POST',
    headers: { host: '127.0.0.1:3140', 'x-pheasant-from': from, ...(cookie ? { cookie } : {}) },
  })
const at = (path: string, cookie: string) =>
  new Request(`http://127.0.0.1:3140/api/auth/${path}`, {
    method: 'POST',
    headers: { host: '127.0.0.1:3140', origin: 'http://127.0.0.1:3140', cookie, 'content-type': 'application/json' },
  })
const cookieOf = (cookies: readonly string[]) => cookies.map((each) => each.split(';')[0]).join('; ')

beforeAll(async () => {
  // What an earlier run used up.
  await db.execute(sql`delete from rate_limits`)
  scope = await freshKitchen(db)
  const id = `per_owner_${scope.kitchen.id}`
  await db.insert(people).values({ id, name: 'Owner', email: `${id}@people.invalid`, username: id.toLowerCase() })
  await setMember(db, scope.kitchen.id, id, 'owner')
  owner = { kind: 'person', id, name: 'Owner', session: 'none' }
})

describe('a way in', () => {
  it('lets one in, whoever is first, and nobody after its end or when it was withdrawn', async () => {
    const { invite, join, withdraw } = await ways()
    const { slug } = scope.kitchen
    const asked = () => acting(owner, () => invite(slug, { of: 'person', role: 'cook' }))
    const { token } = must(await asked())
    const enter = (secret: string) => {
      const username = `p${unique()}`
      return acting({ kind: 'nobody' }, () => join({ token: secret, name: username, username, password: PASSWORD }))
    }
    const all = await Promise.all(Array.from({ length: 6 }, () => enter(token)))
    expect(all.filter(({ ok }) => ok)).toHaveLength(1)
    expect(code(await enter(token))).toBe('malformed')
    const second = must(await asked())
    must(await acting(owner, () => withdraw(slug, second.id)))
    expect((await enter(second.token)).ok).toBe(false)
    const third = must(await asked())
    await db
      .update(invitations)
      .set({ expiresAt: new Date(0) })
      .where(eq(invitations.id, third.id))
    expect((await enter(third.token)).ok).toBe(false)
    const [kept] = await db.select().from(invitations).where(eq(invitations.id, third.id))
    expect(JSON.stringify(kept)).not.toContain(third.token)
  })

  it('is not spent by a name that is taken, a short password or nothing at all', async () => {
    const { invite, join } = await ways()
    const known = await joined('cook')
    const { token } = must(await acting(owner, () => invite(scope.kitchen.slug, { of: 'person', role: 'cook' })))
    const enter = (more: object) =>
      acting({ kind: 'nobody' }, () =>
        join({ token, name: 'N', username: `p${unique()}`, password: PASSWORD, ...more }),
      )
    expect(code(await enter({ username: known.username.toUpperCase() }))).toBe('malformed')
    expect((await enter({ password: 'short' })).ok).toBe(false)
    expect((await enter({ username: 'has space' })).ok).toBe(false)
    expect(code(await acting({ kind: 'nobody' }, () => join({ token })))).toBe('not_signed_in')
    expect((await enter({})).ok).toBe(true)
  })

  it('of a tablet makes none a person, and of a person no tablet', async () => {
    const { invite, join, joinTablet } = await ways()
    const { slug } = scope.kitchen
    const tablet = must(await acting(owner, () => invite(slug, { of: 'tablet' })))
    const person = must(await acting(owner, () => invite(slug, { of: 'person', role: 'owner' })))
    expect((await joinTablet({ token: person.token, name: 'T' })).ok).toBe(false)
    const username = `p${unique()}`
    expect((await join({ token: tablet.token, name: 'N', username, password: PASSWORD })).ok).toBe(false)
    const { secret } = must(await joinTablet({ token: tablet.token, name: 'T' }))
    expect(secret.length).toBeGreaterThanOrEqual(32)
    expect((await joinTablet({ token: tablet.token, name: 'T' })).ok).toBe(false)
  })

  it('answers any text at all, and lets nobody in by it (seed 2615)', async () => {
    const { join } = await ways()
    await fc.assert(
      fc.asyncProperty(fc.string({ unit: 'grapheme', maxLength: 120 }), fc.anything(), async (token, other) => {
        for (const value of [{ token }, { token, name: other, username: other, password: other }, other])
          expect((await acting({ kind: 'nobody' }, () => join(value))).ok).toBe(false)
      }),
      { seed: 2615, numRuns: 60 },
    )
  })
})

describe('signing in', () => {
  it('asks for name and password, says of neither which is wrong, and lets nobody guess for long', async () => {
    const { signInBy } = await signing()
    const one = await joined('cook')
    const from = unique()
    const enter = (username: string, password: string, where = from) => signInBy(request(where), { username, password })
    expect((await enter(one.username.toUpperCase(), PASSWORD)).ok).toBe(true)
    const [wrong, nobody] = [await enter(one.username, 'wrong wrong'), await enter(`p${unique()}`, 'wrong wrong')]
    expect(wrong).toEqual(nobody)
    for (let i = 0; i < 9; i++) expect(code(await enter(one.username, `guess number ${i}`, unique()))).toBe('malformed')
    // Used up: the right one is not looked at either, from anywhere.
    const late = await enter(one.username, PASSWORD, unique())
    expect(code(late)).toBe('too_often')
    const other = await joined('cook')
    expect((await enter(other.username, PASSWORD)).ok).toBe(true)
    const kept = await db.select().from(audit).where(eq(audit.what, 'sign_in_failed'))
    expect(kept.some(({ detail }) => detail?.name === one.username)).toBe(true)
    expect(JSON.stringify(kept)).not.toContain('guess number')
  })

  it('a new password signs out everywhere else, and takes the old one', async () => {
    const { changePasswordBy, signInBy, signOutBy } = await signing()
    const { personOf } = await import('@/server/access/sign-in')
    const one = await joined('cook')
    const enter = async (password: string) => signInBy(request(), { username: one.username, password })
    const [here, there] = [cookieOf(must(await enter(PASSWORD)).cookies), cookieOf(must(await enter(PASSWORD)).cookies)]
    const known = (cookie: string) => personOf(new Headers({ cookie, host: '127.0.0.1:3140' }))
    expect(await known(here)).toMatchObject({ id: one.id })
    const next = 'another long one'
    const ask = (currentPassword: string) =>
      changePasswordBy(at('change-password', here), { currentPassword, newPassword: next, revokeOtherSessions: true })
    expect(code(await ask('not the old one'))).toBe('malformed')
    const changed = must(await ask(PASSWORD))
    expect(await known(there)).toBeUndefined()
    expect((await enter(PASSWORD)).ok).toBe(false)
    expect((await enter(next)).ok).toBe(true)
    const now = cookieOf(changed.cookies) || here
    must(await signOutBy(at('sign-out', now)))
    expect(await known(now)).toBeUndefined()
    // A cookie that was meddled with is nobody's.
    expect(await known(here.replace(/=./, '=x'))).toBeUndefined()
    const [account] = await db.execute<{ password: string }>(
      sql`select password from accounts where user_id = ${one.id}`,
    )
    expect(account?.password).toMatch(/^[0-9a-f]{32}:[0-9a-f]{64,}$/)
  })
})

describe('belonging', () => {
  it('the last owner stays, even when two put each other out at once', async () => {
    const { putOut, setRole } = await ways()
    const own = await freshKitchen(db)
    const { slug, id } = own.kitchen
    await setMember(db, id, owner.id, 'owner')
    expect((await acting(owner, () => putOut(slug, owner.id))).ok).toBe(false)
    expect((await acting(owner, () => setRole(slug, owner.id, { role: 'guest' }))).ok).toBe(false)
    const other = await joined('cook')
    await setMember(db, id, other.id, 'owner')
    await Promise.all([acting(owner, () => putOut(slug, other.id)), acting(other, () => putOut(slug, owner.id))])
    const left = await db.select().from(members).where(eq(members.kitchenId, id))
    expect(left.map(({ role }) => role)).toEqual(['owner'])
  })

  it('two kitchens of one name, opened at once, are two, each its own owner’s', async () => {
    const { openAnother } = await ways()
    const [one, other] = [await joined('owner'), await joined('owner')]
    const name = `Twin ${unique()}`
    const made = await Promise.all([one, other].map((each) => acting(each, () => openAnother({ name }))))
    const slugs = made.map((each) => must(each).slug)
    expect(new Set(slugs).size).toBe(2)
    for (const [i, each] of [one, other].entries()) {
      const kitchen = await openKitchen(db, slugs[i] as string)
      const own = await db
        .select()
        .from(members)
        .where(eq(members.kitchenId, kitchen?.kitchen.id ?? ''))
      expect(own.map(({ personId }) => personId)).toEqual([each.id])
    }
  })

  it('a person who goes takes the sign-in along; what they did stays under their name', async () => {
    const { removeMe } = await ways()
    const { addEntries, beginCook } = await import('@/server/cooks')
    const one = await joined('head_cook')
    const { slug } = scope.kitchen
    const plan = await scope.plans.add(
      planDocument.parse({ roast: { cut: 'pork-loin', mass_kg: 2 }, promise: '2027-12-30T19:00:00Z' }),
    )
    const cook = must(await acting(one, () => beginCook(slug, { plan: plan.id })))
    const entry = { id: `entry-${unique()}`, kind: 'note', at: '2026-11-25T12:00:00Z', by: 'Somebody else', text: 'x' }
    must(await acting(one, () => addEntries(slug, cook.id, { entries: [entry] })))
    must(await acting(one, removeMe))
    expect(await db.select().from(people).where(eq(people.id, one.id))).toEqual([])
    expect(await db.select().from(sessions).where(eq(sessions.userId, one.id))).toEqual([])
    const [kept] = await cookShelf(db, scope.kitchen).entriesSince(cook.id, 0)
    // Who is signed in signs with their own name, whatever is said.
    expect(kept?.entry.by).toBe(one.name)
    const rows = await within(db, scope.kitchen.id).execute<{ who: string }>(
      sql`select who from entries where cook_id = ${cook.id}`,
    )
    expect([...rows][0]?.who).toBe(one.id)
    const trail = await peopleShelf(db, scope.kitchen, scope.who).trail(20)
    expect(trail.find(({ what }) => what === 'left')).toMatchObject({ who: one.id, whoName: one.name })
  })

  it('an owner alone in a kitchen cannot go before it is somebody’s', async () => {
    const { removeMe } = await ways()
    const own = await freshKitchen(db)
    const one = await joined('cook')
    await setMember(db, own.kitchen.id, one.id, 'owner')
    const refused = await acting(one, removeMe)
    expect(refused.ok ? '' : JSON.stringify(refused.problems)).toContain('Test kitchen')
  })

  it('a kitchen that is given up loses its plans and every way in, and keeps its record', async () => {
    const { giveUpKitchen, invite, joinTablet } = await ways()
    const { enterRecord } = await import('@/server/record')
    const { addDevice, takeReadings } = await import('@/server/cooks')
    const own = await freshKitchen(db)
    const { slug, id, name } = own.kitchen
    await setMember(db, id, owner.id, 'owner')
    await own.plans.add(
      planDocument.parse({ roast: { cut: 'pork-loin', mass_kg: 2 }, promise: '2027-12-30T19:00:00Z' }),
    )
    must(
      await acting(owner, () =>
        enterRecord(slug, {
          entries: [{ id: `rec-${unique()}`, kind: 'storage', what: 'Fridge', value_c: 4, by: 'X' }],
        }),
      ),
    )
    const probe = must(await acting(owner, () => addDevice(slug, { name: 'P' })))
    const code_ = must(await acting(owner, () => invite(slug, { of: 'tablet' })))
    expect((await acting(owner, () => giveUpKitchen(slug, { name: 'another' }))).ok).toBe(false)
    must(await acting(owner, () => giveUpKitchen(slug, { name })))
    expect(await openKitchen(db, slug)).toBeUndefined()
    const count = async (table: string) =>
      (await within(db, id).execute<{ n: number }>(sql`select count(*)::int as n from ${sql.identifier(table)}`))[0]?.n
    expect([await count('plans'), await count('record_entries')]).toEqual([0, 1])
    expect((await joinTablet({ token: code_.token, name: 'T' })).ok).toBe(false)
    const readings = { unit: 'c', readings: [{ channel: 0, seq: 1, at: '2026-11-25T12:00:00Z', value: 20 }] }
    expect(code(await takeReadings(probe.token, readings))).toBe('not_found')
  })

  it('the trail is only ever added to', async () => {
    await expect(db.execute(sql`delete from audit`)).rejects.toThrow()
    await expect(db.execute(sql`update audit set what = 'nothing'`)).rejects.toThrow()
    await expect(db.execute(sql`update installation set value = 'known'`)).rejects.toThrow()
  })

  it('at a tablet a number is asked for where the kitchen wants it, and not guessed for long', async () => {
    const { askForPins, atTheStove, setPin } = await ways()
    const one = await joined('cook')
    const { slug, id } = scope.kitchen
    const tablet: Actor = { kind: 'tablet', id: 'tab_x', name: 'Stove', kitchenId: id }
    const stand = (pin: string | null) => acting(tablet, () => atTheStove(slug, { person: one.id, pin }))
    expect(must(await stand(null)).name).toBe(one.name)
    must(await acting(owner, () => askForPins(slug, { pins: true })))
    // Nobody stands there by a number that was never set.
    expect((await stand('0000')).ok).toBe(false)
    expect((await acting(one, () => setPin(slug, { pin: '12' }))).ok).toBe(false)
    must(await acting(one, () => setPin(slug, { pin: '4711' })))
    expect(must(await stand('4711')).name).toBe(one.name)
    const guesses = await Promise.all(Array.from({ length: 12 }, (_, i) => stand(`${1000 + i}`)))
    expect(guesses.map(code)).toContain('too_often')
    expect(code(await stand('4711'))).toBe('too_often')
  })
})
