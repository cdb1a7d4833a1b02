// The built application behind its doors: http for this machine alone, and https for the kitchen's network where it is asked for.
import { readFileSync } from 'node:fs'
import { createServer } from 'node:http'
import { createServer as createSecureServer } from 'node:https'
import { join } from 'node:path'
import { parseArgs } from 'node:util'
import next from 'next'
import { certificate, fingerprintOf, ownNames } from './setup/certificate.mjs'
import { root } from './setup/dependencies.mjs'

const { values } = parseArgs({
  options: {
    port: { type: 'string' },
    /** Where it listens on the network, and on which port. */
    host: { type: 'string' },
    'secure-port': { type: 'string' },
    tls: { type: 'string' },
  },
})
const port = Number(values.port)
const securePort = Number(values['secure-port'] ?? 0)
const proxied = process.env.PHEASANT_PROXY === 'yes'

/** What a request may not say of itself: by which door it came, and from where. */
const through = (handle, door) => (request, response) => {
  const { headers, socket } = request
  if (!proxied) for (const name of Object.keys(headers)) if (name.startsWith('x-forwarded-')) delete headers[name]
  headers['x-pheasant-door'] = door
  headers['x-pheasant-from'] = socket.remoteAddress ?? ''
  void handle(request, response)
}

const listening = (server, ...where) =>
  new Promise((done, failed) => {
    server.once('error', failed)
    server.listen(...where, () => done(server))
  })

const tls = values.host ? await certificate(values.tls) : undefined
if (tls) {
  const { addresses, names } = ownNames()
  const own = [...addresses.map((each) => (each.includes(':') ? `[${each}]` : each)), ...names]
  process.env.PHEASANT_HOSTS = [process.env.PHEASANT_HOSTS, ...own].filter(Boolean).join(',')
  const first = addresses.find((each) => !each.includes(':')) ?? names[0]
  process.env.PHEASANT_ADDRESS ??= `https://${first}:${securePort}`
  if (tls.authority) {
    process.env.PHEASANT_AUTHORITY = tls.authority
    process.env.PHEASANT_FINGERPRINT = fingerprintOf(tls.authority)
  }
}

const app = next({ dev: false, dir: root, hostname: '127.0.0.1', port })
await app.prepare()
const handle = app.getRequestHandler()
const servers = [await listening(createServer(through(handle, 'machine')), port, '127.0.0.1')]
if (tls)
  servers.push(
    await listening(
      createSecureServer({ key: tls.key, cert: tls.cert, minVersion: 'TLSv1.2' }, through(handle, 'network')),
      securePort,
      values.host,
    ),
  )

// What is under way is answered; streams are let go of by the application itself (instrumentation-node.ts).
for (const signal of ['SIGTERM', 'SIGINT'])
  process.once(signal, () => {
    for (const server of servers) {
      server.close()
      server.closeIdleConnections()
    }
    setTimeout(() => process.exit(0), 3500).unref()
  })

/**
 * A page or an address loads its modules when it is first asked for, half a second in which nothing else is answered: so
 * each is asked for before anybody cooks, of a kitchen that is not there. Those that take a secret are not.
 */
async function warmUp() {
  const manifest = join(root, '.next/server/app-paths-manifest.json')
  const paths = Object.keys(JSON.parse(readFileSync(manifest, 'utf8'))).filter((each) =>
    /^\/(?:k\/.*|accuracy\/)page$|^\/api\/(?:k\/.*|plan\/|estimate\/|simulate\/|readings\/)route$/.test(each),
  )
  for (const each of paths) {
    const path = each
      .replace(/\/(?:page|route)$/, '')
      .replace(/\/\([^)]*\)/g, '')
      .replace(/\[[^\]]*\]/g, 'nobody')
    const answer = await fetch(`http://127.0.0.1:${port}${path}`, { redirect: 'manual' })
    await answer.arrayBuffer()
  }
}
warmUp().catch(() => {})
