'use client'
import Image from 'next/image'
import { useEffect, useState } from 'react'
import { BUTTON } from './fields'

/** A secret address that is shown this once: as text to copy, and as a code to scan. */
export function Handed({
  address,
  what,
  reach,
}: {
  readonly address: string
  readonly what: string
  /** Why nothing but this machine can open it; undefined: others can. */
  readonly reach?: string | undefined
}) {
  const [code, setCode] = useState<string | undefined>()
  const [copied, setCopied] = useState(false)
  useEffect(() => {
    let here = true
    void import('qrcode')
      .then((code) => code.toString(address, { type: 'svg', margin: 2, errorCorrectionLevel: 'M' }))
      .then((svg) => here && setCode(`data:image/svg+xml;utf8,${encodeURIComponent(svg)}`))
    return () => {
      here = false
    }
  }, [address])
  return (
    <div className="mt-3 rounded-2xl border-2 border-copper bg-copper-ground p-4" data-testid="handed">
      <div className="flex flex-wrap items-start gap-5">
        {code && (
          <Image
            unoptimized
            src={code}
            width={176}
            height={176}
            alt={`Code to scan: ${what}`}
            className="rounded-xl bg-white"
          />
        )}
        <div className="min-w-0 flex-1 basis-64 space-y-3 text-lg">
          <p>
            <strong>{what}</strong> It is shown this once.
          </p>
          <p>
            <code className="break-all text-base" data-testid="handed-address">
              {address}
            </code>
          </p>
          <button
            type="button"
            className={BUTTON}
            onClick={() =>
              void navigator.clipboard?.writeText(address).then(
                () => setCopied(true),
                () => setCopied(false),
              )
            }
          >
            {copied ? 'Copied' : 'Copy it'}
          </button>
          {reach && <p className="text-base text-wattle">{reach}</p>}
        </div>
      </div>
    </div>
  )
}
