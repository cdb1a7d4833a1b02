/**
 * By which door a request came: the server that listens (bin/serve.mjs) writes it on every request, over whatever the
 * request itself said.
 */
export const DOOR = { machine: 'machine', network: 'network' } as const
export const DOOR_HEADER = 'x-pheasant-door'
/** The address it came from, written by the same. */
export const FROM_HEADER = 'x-pheasant-from'

/** Without a server of ours in front, as in development, only the machine itself is listened to. */
export const doorOf = (given: Headers): string => given.get(DOOR_HEADER) ?? DOOR.machine

/** Whether a proxy was said to stand in front: only then is what it adds believed. */
export const isProxied = (): boolean => process.env.PHEASANT_PROXY === 'yes'

/** Whether it came by https: by a door of ours, or one that a trusted proxy says it has. */
export const isSecure = (given: Headers, proxied: boolean = isProxied()): boolean =>
  doorOf(given) === DOOR.network || (proxied && given.get('x-forwarded-proto') === 'https')

/** The address that a request came from: what a proxy adds is believed only where one was said to be there. */
export const addressOf = (given: Headers, proxied: boolean = isProxied()): string =>
  (proxied ? given.get('x-forwarded-for')?.split(',').at(-1)?.trim() : undefined) ?? given.get(FROM_HEADER) ?? 'here'
