// The certificate of the door to the kitchen's network: given, or made here by an authority of this installation's own.
import { X509Certificate } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { hostname, networkInterfaces } from 'node:os'
import { join } from 'node:path'
import { generate } from 'selfsigned'

const DAY_MS = 86_400_000
/** Browsers refuse one that is good for longer. */
const DAYS = 397
const AUTHORITY_DAYS = 3650
/** A certificate's own name is no longer than this; what counts stands in its other names. */
const NAME_MOST = 64
/** So long before its end it is made anew. */
const AHEAD_DAYS = 30

/** Addresses and names that this machine has on its network. */
export function ownNames() {
  const addresses = Object.values(networkInterfaces())
    .flat()
    .filter((each) => each && !each.internal && !(each.family === 'IPv6' && each.address.startsWith('fe80')))
    .map(({ address }) => address)
  const name = hostname().toLowerCase()
  return { addresses, names: [name, ...(name.includes('.') ? [] : [`${name}.local`])] }
}

const from = (days) => ({
  notBeforeDate: new Date(Date.now() - DAY_MS),
  notAfterDate: new Date(Date.now() + days * DAY_MS),
})
const keep = (path, text, secret) => writeFileSync(path, text, { mode: secret ? 0o600 : 0o644 })

async function authority(folder) {
  const [key, cert] = [join(folder, 'authority.key'), join(folder, 'authority.pem')]
  if (!existsSync(key) || !existsSync(cert)) {
    const made = await generate([{ name: 'commonName', value: `Pheasant on ${hostname()}`.slice(0, NAME_MOST) }], {
      ...from(AUTHORITY_DAYS),
      keyType: 'ec',
      curve: 'P-256',
      algorithm: 'sha256',
      extensions: [
        { name: 'basicConstraints', cA: true, pathLenConstraint: 0, critical: true },
        { name: 'keyUsage', keyCertSign: true, cRLSign: true, critical: true },
      ],
    })
    keep(key, made.private, true)
    keep(cert, made.cert, false)
  }
  return { key: readFileSync(key, 'utf8'), cert: readFileSync(cert, 'utf8'), path: cert }
}

/** A certificate that is good for these names, for a while yet. */
function isGood(cert, { addresses, names }) {
  const read = new X509Certificate(cert)
  const ends = Date.parse(read.validTo)
  return (
    ends > Date.now() + AHEAD_DAYS * DAY_MS &&
    addresses.every((each) => read.checkIP(each) !== undefined) &&
    names.every((each) => read.checkHost(each) !== undefined)
  )
}

/**
 * The key and the certificate to serve https with; where they are made here, also the authority that a tablet must trust.
 *
 * @param folder where they are kept
 */
export async function certificate(folder) {
  const given = { key: process.env.PHEASANT_TLS_KEY, cert: process.env.PHEASANT_TLS_CERT }
  if (given.key && given.cert)
    return { key: readFileSync(given.key, 'utf8'), cert: readFileSync(given.cert, 'utf8'), authority: undefined }
  if (given.key || given.cert)
    throw new Error('a certificate is given by both PHEASANT_TLS_CERT and PHEASANT_TLS_KEY: set both or none')
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  const ca = await authority(folder)
  const [key, cert] = [join(folder, 'server.key'), join(folder, 'server.pem')]
  const own = ownNames()
  if (!existsSync(key) || !existsSync(cert) || !isGood(readFileSync(cert, 'utf8'), own)) {
    const made = await generate([{ name: 'commonName', value: own.names[0].slice(0, NAME_MOST) }], {
      ...from(DAYS),
      keyType: 'ec',
      curve: 'P-256',
      algorithm: 'sha256',
      ca: { key: ca.key, cert: ca.cert },
      extensions: [
        { name: 'basicConstraints', cA: false, critical: true },
        { name: 'keyUsage', digitalSignature: true, critical: true },
        { name: 'extKeyUsage', serverAuth: true },
        {
          name: 'subjectAltName',
          altNames: [
            ...own.names.map((value) => ({ type: 2, value })),
            ...own.addresses.map((ip) => ({ type: 7, ip })),
          ],
        },
      ],
    })
    keep(key, made.private, true)
    keep(cert, made.cert, false)
  }
  return { key: readFileSync(key, 'utf8'), cert: readFileSync(cert, 'utf8'), authority: ca.path }
}

/** The fingerprint that a tablet shows of an authority, to be compared by eye. */
export const fingerprintOf = (path) => new X509Certificate(readFileSync(path)).fingerprint256
