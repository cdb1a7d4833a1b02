import { createHash, randomBytes, timingSafeEqual } from 'node:crypto'

/** Secrets that are handed out: 192 bits, shown once, kept as their hash. */
export const newSecret = (): string => randomBytes(24).toString('base64url')

/** SHA-256 of a secret: enough for one that nobody can guess. */
export const hashOf = (secret: string): string => createHash('sha256').update(secret).digest('hex')

/** A PIN is short: it is bound to its person, and tried only so often (limiter.ts). */
export const pinHashOf = (personId: string, pin: string): string => hashOf(`${personId} ${pin}`)

export const sameHash = (a: string, b: string): boolean =>
  a.length === b.length && timingSafeEqual(Buffer.from(a), Buffer.from(b))
