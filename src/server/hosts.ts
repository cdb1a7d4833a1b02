/** Names by which the machine may be asked, besides its own: of the kitchen's network, set by whoever runs it. */
const OWN: ReadonlySet<string> = new Set(['127.0.0.1', 'localhost', '[::1]'])

const named = (): ReadonlySet<string> =>
  new Set(
    (process.env.PHEASANT_HOSTS ?? '')
      .split(',')
      .map((name) => name.trim().toLowerCase())
      .filter(Boolean),
  )
let known: ReadonlySet<string> | undefined

const nameOf = (host: string) => host.toLowerCase().replace(/:\d+$/, '')

/**
 * Whether a Host header names this machine to itself.
 * @example isOwnHost('localhost:3140') // true
 */
export const isOwnHost = (host: string | null): boolean => host !== null && OWN.has(nameOf(host))

/**
 * Whether a Host header names this server: a page that makes another name point here is not let in by it.
 * @example allowedHost('127.0.0.1:3140') // true
 */
export function allowedHost(host: string | null): boolean {
  if (host === null) return false
  const name = nameOf(host)
  known ??= named()
  return OWN.has(name) || known.has(name)
}
