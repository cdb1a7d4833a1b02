import { type NextRequest, NextResponse } from 'next/server'
import { isSecure } from './server/access/door'
import { databaseIsAway } from './server/availability'
import { allowedHost, isOwnHost } from './server/hosts'
import { MOST_BYTES, RETRY_AFTER_S } from './server/limits'
import { log } from './server/log'

/** The door: what every request must be before any of ours looks at it, and what every answer carries. */

const SAFE: ReadonlySet<string> = new Set(['GET', 'HEAD', 'OPTIONS'])
/** They say how things are, also when those are bad. */
const ALWAYS: ReadonlySet<string> = new Set(['/api/health', '/api/ready'])

const isApi = (path: string) => path.startsWith('/api/') || path.startsWith('/calendar/')

const isEncrypted = (request: NextRequest) => isSecure(request.headers)
const isTrusted = (request: NextRequest) => isEncrypted(request) || isOwnHost(request.headers.get('host'))

interface Refusal {
  readonly status: number
  readonly code: string
  readonly detail: string
}
const refusal = (status: number, code: string, detail: string): Refusal => ({ status, code, detail })

/** An address that decodes, with nothing in it that no name of ours can have. */
function isReadable(text: string): boolean {
  try {
    return !decodeURIComponent(text).includes('\u0000')
  } catch {
    return false
  }
}

/** What is sent as it is, and where to: pictures, and parts of files. */
const SENT_AS_IS: readonly { readonly to: RegExp; readonly media: ReadonlySet<string> }[] = [
  {
    to: /^\/api\/k\/[^/]+\/cooks\/[^/]+\/photos$/,
    media: new Set(['image/jpeg', 'image/png', 'image/webp']),
  },
  { to: /^\/api\/k\/[^/]+\/whole\/parts$/, media: new Set(['application/octet-stream']) },
]
const isTaken = (path: string, media: string | undefined) =>
  media === 'application/json' || SENT_AS_IS.some((each) => each.to.test(path) && each.media.has(media ?? ''))

/** Whether a request that writes comes from a page of ours, or from something that is no page. */
function fromElsewhere(request: NextRequest): boolean {
  const site = request.headers.get('sec-fetch-site')
  if (site !== null && site !== 'same-origin' && site !== 'none') return true
  const origin = request.headers.get('origin')
  if (origin === null) return false
  return !URL.canParse(origin) || new URL(origin).host !== request.headers.get('host')
}

function refusalOf(request: NextRequest): Refusal | undefined {
  const { pathname, search } = request.nextUrl
  if (!allowedHost(request.headers.get('host')))
    return refusal(
      421,
      'malformed',
      'this server does not go by that name: set PHEASANT_HOSTS to the names it may be asked by',
    )
  if (!isReadable(pathname) || !isReadable(search.replaceAll('+', ' ')))
    return refusal(pathname.includes('%00') ? 404 : 400, 'malformed', 'this address cannot be read')
  if (SAFE.has(request.method)) return undefined
  if (fromElsewhere(request)) return refusal(403, 'malformed', 'a page of another origin may not write here')
  const length = Number(request.headers.get('content-length') ?? 0)
  const media = request.headers.get('content-type')?.split(';')[0]?.trim().toLowerCase()
  const hasBody = length > 0 || request.headers.has('transfer-encoding')
  if (hasBody && !isTaken(pathname, media)) return refusal(415, 'malformed', 'send it as application/json')
  if (length > MOST_BYTES) return refusal(413, 'too_large', '')
  return undefined
}

/** Sets the content policy: own scripts only, by a nonce that is new for each page. */
function policyOf(nonce: string): string {
  const dev = process.env.NODE_ENV === 'development'
  return [
    `default-src 'self'`,
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic' 'wasm-unsafe-eval'${dev ? ` 'unsafe-eval'` : ''}`,
    `style-src 'self' 'unsafe-inline'`,
    `img-src 'self' data: blob:`,
    `font-src 'self'`,
    `connect-src 'self'`,
    `worker-src 'self' blob:`,
    `object-src 'none'`,
    `base-uri 'self'`,
    `form-action 'self'`,
    `frame-ancestors 'none'`,
  ].join('; ')
}

const COMMON = {
  'x-content-type-options': 'nosniff',
  'x-frame-options': 'DENY',
  'referrer-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
  'permissions-policy': 'camera=(), geolocation=(), microphone=()',
} as const

const bare = (sentence: string) =>
  `<!doctype html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width">` +
  `<meta http-equiv="refresh" content="3"><title>Pheasant</title>` +
  `<body style="font:1.25rem system-ui;margin:12vh auto;max-width:34rem;padding:0 1rem"><h1>Not just now</h1><p>${sentence}</p></body></html>`

function refused({ status, code, detail }: Refusal, path: string): NextResponse {
  if (isApi(path))
    return NextResponse.json(
      {
        errors: [
          code === 'too_large'
            ? { code, path: [], most_bytes: MOST_BYTES }
            : code === 'unavailable'
              ? { code, path: [], retry_s: RETRY_AFTER_S }
              : { code, path: [], detail },
        ],
      },
      { status },
    )
  return new NextResponse(bare(detail), { status, headers: { 'content-type': 'text/html; charset=utf-8' } })
}

const AWAY = refusal(
  503,
  'unavailable',
  'The kitchen’s records do not answer. Nothing is lost; this page tries again by itself.',
)

export function proxy(request: NextRequest): NextResponse {
  const path = request.nextUrl.pathname
  const id = crypto.randomUUID()
  const no = refusalOf(request) ?? (databaseIsAway() && !ALWAYS.has(path) ? AWAY : undefined)
  const nonce = btoa(crypto.randomUUID())
  const policy = isApi(path) ? `default-src 'none'; frame-ancestors 'none'` : policyOf(nonce)
  let response: NextResponse
  if (no) {
    response = refused(no, path)
    if (no.status === 503) response.headers.set('retry-after', String(RETRY_AFTER_S))
    log.info({ id, method: request.method, status: no.status, code: no.code }, 'refused at the door')
  } else {
    const headers = new Headers(request.headers)
    headers.set('x-request-id', id)
    headers.set('x-nonce', nonce)
    headers.set('content-security-policy', policy)
    response = NextResponse.next({ request: { headers } })
  }
  response.headers.set(
    'content-security-policy',
    no && !isApi(path) ? `default-src 'none'; style-src 'unsafe-inline'` : policy,
  )
  response.headers.set('x-request-id', id)
  for (const [name, value] of Object.entries(COMMON)) response.headers.set(name, value)
  // A browser takes it only from an address it trusts, and complains of it from any other.
  if (isEncrypted(request)) response.headers.set('strict-transport-security', 'max-age=31536000')
  if (isTrusted(request)) response.headers.set('cross-origin-opener-policy', 'same-origin')
  return response
}

export const config = { matcher: ['/((?!_next/static|_next/image|favicon.ico|icon.svg|sw.js).*)'] }
