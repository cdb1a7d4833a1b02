import type { Metadata } from 'next'
import { FrontPage, LINK } from '@/ui/people/fields'

export const metadata: Metadata = { title: 'Trust this installation' }

/** How a tablet is told that it may trust an installation with a certificate of its own. */
export default function TrustPage() {
  const fingerprint = process.env.PHEASANT_FINGERPRINT
  if (!fingerprint)
    return (
      <FrontPage title="Nothing to trust by hand.">
        <p className="mt-4 text-lg">
          This installation uses no certificate of its own: it listens to its machine alone, or was given one that
          browsers know.
        </p>
      </FrontPage>
    )
  return (
    <FrontPage title="Tell this tablet to trust the kitchen.">
      <p className="mt-4 text-lg">
        The kitchen’s machine made a certificate of its own, because no office gives one for an address inside a house.
        Told once, this tablet knows it, and boards work when the network drops.
      </p>
      <ol className="mt-6 list-decimal space-y-4 pl-6 text-lg">
        <li>
          <a href="/trust/certificate" className={LINK}>
            Fetch the certificate
          </a>
          .
        </li>
        <li>
          <strong>iPad, iPhone:</strong> Settings, General, VPN &amp; Device Management, install the profile; then
          General, About, Certificate Trust Settings, switch it on.
        </li>
        <li>
          <strong>Android:</strong> Settings, Security, Encryption &amp; credentials, Install a certificate, CA
          certificate.
        </li>
        <li>
          Compare what the tablet shows with what the machine printed when it started:
          <code className="mt-1 block break-all text-base" data-testid="fingerprint">
            {fingerprint}
          </code>
          Is it another, somebody stands between the two: do not trust it.
        </li>
        <li>Open the kitchen again. The warning is gone.</li>
      </ol>
    </FrontPage>
  )
}
