import { sql } from 'drizzle-orm'
import {
  bigint,
  boolean,
  check,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
} from 'drizzle-orm/pg-core'
import { ROLES } from '../domain/people/roles'
import { kitchens } from './schema'

/** Who may come in, and by what. These tables say which kitchen a request is for: they stand before its walls. */

const at = (name: string) => timestamp(name, { withTimezone: true, mode: 'date' })
const roleIn = sql.raw(ROLES.map((role) => `'${role}'`).join(', '))

/** A person, as the sign-in library keeps one. Nothing is ever sent to the address: it is made from the name. */
export const people = pgTable('people', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  email: text('email').notNull().unique(),
  emailVerified: boolean('email_verified').notNull().default(false),
  image: text('image'),
  createdAt: at('created_at').notNull().defaultNow(),
  updatedAt: at('updated_at').notNull().defaultNow(),
  username: text('username').unique(),
  displayUsername: text('display_username'),
})

export const sessions = pgTable(
  'sessions',
  {
    id: text('id').primaryKey(),
    expiresAt: at('expires_at').notNull(),
    token: text('token').notNull().unique(),
    createdAt: at('created_at').notNull().defaultNow(),
    updatedAt: at('updated_at').notNull().defaultNow(),
    ipAddress: text('ip_address'),
    userAgent: text('user_agent'),
    userId: text('user_id')
      .notNull()
      .references(() => people.id, { onDelete: 'cascade' }),
  },
  (table) => [index('sessions_user').on(table.userId)],
)

/** A person's password, as scrypt made it. */
export const accounts = pgTable(
  'accounts',
  {
    id: text('id').primaryKey(),
    accountId: text('account_id').notNull(),
    providerId: text('provider_id').notNull(),
    userId: text('user_id')
      .notNull()
      .references(() => people.id, { onDelete: 'cascade' }),
    accessToken: text('access_token'),
    refreshToken: text('refresh_token'),
    idToken: text('id_token'),
    accessTokenExpiresAt: at('access_token_expires_at'),
    refreshTokenExpiresAt: at('refresh_token_expires_at'),
    scope: text('scope'),
    password: text('password'),
    createdAt: at('created_at').notNull().defaultNow(),
    updatedAt: at('updated_at').notNull().defaultNow(),
  },
  (table) => [index('accounts_user').on(table.userId)],
)

export const verifications = pgTable('verifications', {
  id: text('id').primaryKey(),
  identifier: text('identifier').notNull(),
  value: text('value').notNull(),
  expiresAt: at('expires_at').notNull(),
  createdAt: at('created_at').notNull().defaultNow(),
  updatedAt: at('updated_at').notNull().defaultNow(),
})

/** Who belongs to which kitchen, as what. */
export const members = pgTable(
  'members',
  {
    kitchenId: text('kitchen_id')
      .notNull()
      .references(() => kitchens.id, { onDelete: 'cascade' }),
    personId: text('person_id')
      .notNull()
      .references(() => people.id, { onDelete: 'cascade' }),
    role: text('role', { enum: ROLES }).notNull(),
    /** SHA-256 of the number said at a shared tablet, with the person's id; null: none. */
    pinHash: text('pin_hash'),
    createdAt: at('created_at').notNull().defaultNow(),
  },
  (table) => [
    primaryKey({ name: 'members_once', columns: [table.kitchenId, table.personId] }),
    index('members_person').on(table.personId),
    check('members_role', sql`${table.role} in (${roleIn})`),
  ],
)

/** A way in that was handed out: to a person, to a tablet, or to the first owner. */
export const invitations = pgTable(
  'invitations',
  {
    id: text('id').primaryKey(),
    /** null: the whole installation, for its first owner. */
    kitchenId: text('kitchen_id').references(() => kitchens.id, { onDelete: 'cascade' }),
    of: text('of', { enum: ['claim', 'person', 'tablet'] }).notNull(),
    role: text('role', { enum: ROLES }).notNull(),
    /** SHA-256 of its secret: the secret itself is shown once. */
    tokenHash: text('token_hash').notNull().unique(),
    madeBy: text('made_by').notNull(),
    createdAt: at('created_at').notNull().defaultNow(),
    expiresAt: at('expires_at').notNull(),
    usedAt: at('used_at'),
    usedBy: text('used_by'),
    revokedAt: at('revoked_at'),
  },
  (table) => [
    index('invitations_kitchen').on(table.kitchenId, table.createdAt),
    check('invitations_of', sql`${table.of} in ('claim', 'person', 'tablet') and ${table.role} in (${roleIn})`),
  ],
)

/** A tablet by the stove: a device of its kitchen, without a password. */
export const tablets = pgTable(
  'tablets',
  {
    id: text('id').primaryKey(),
    kitchenId: text('kitchen_id')
      .notNull()
      .references(() => kitchens.id, { onDelete: 'cascade' }),
    name: text('name').notNull(),
    tokenHash: text('token_hash').notNull().unique(),
    madeBy: text('made_by').notNull(),
    createdAt: at('created_at').notNull().defaultNow(),
    seenAt: at('seen_at'),
    revokedAt: at('revoked_at'),
  },
  (table) => [index('tablets_kitchen').on(table.kitchenId, table.createdAt)],
)

/** An address that opens one thing to whoever has it: a calendar, a run sheet, a board. Reading only. */
export const addresses = pgTable(
  'addresses',
  {
    id: text('id').primaryKey(),
    kitchenId: text('kitchen_id')
      .notNull()
      .references(() => kitchens.id, { onDelete: 'cascade' }),
    of: text('of', { enum: ['calendar', 'sheet', 'board'] }).notNull(),
    /** The plan, meal or cook it shows; null: the whole kitchen's tasks. */
    thing: text('thing'),
    name: text('name').notNull(),
    tokenHash: text('token_hash').notNull().unique(),
    madeBy: text('made_by').notNull(),
    createdAt: at('created_at').notNull().defaultNow(),
    expiresAt: at('expires_at').notNull(),
    revokedAt: at('revoked_at'),
    uses: integer('uses').notNull().default(0),
    usedAt: at('used_at'),
  },
  (table) => [
    index('addresses_kitchen').on(table.kitchenId, table.createdAt),
    check('addresses_of', sql`${table.of} in ('calendar', 'sheet', 'board')`),
  ],
)

/** Who came in, who was let in and put out, what was handed out and taken along. Only ever added to. */
export const audit = pgTable(
  'audit',
  {
    id: bigint('id', { mode: 'number' }).primaryKey().generatedAlwaysAsIdentity(),
    at: at('at').notNull().defaultNow(),
    /** null: of no one kitchen. No reference: it outlives what it tells of. */
    kitchenId: text('kitchen_id'),
    who: text('who').notNull(),
    whoName: text('who_name').notNull(),
    what: text('what').notNull(),
    about: text('about').notNull().default(''),
    detail: jsonb('detail').$type<Readonly<Record<string, string | number | boolean | null>>>(),
  },
  (table) => [index('audit_kitchen').on(table.kitchenId, table.at)],
)

/** What was used up of each limit, on all servers together. */
export const rateLimits = pgTable(
  'rate_limits',
  {
    key: text('key').primaryKey(),
    points: integer('points').notNull(),
    expire: at('expire'),
  },
  (table) => [index('rate_limits_expire').on(table.expire)],
)

/** What every server on this database must know alike: the secret that session cookies are signed with. */
export const installation = pgTable('installation', {
  name: text('name').primaryKey(),
  value: text('value').notNull(),
})
