'use client'
import { Trouble } from '@/ui/shell/trouble'

/** What is shown where a page failed: what was typed and tapped is kept. */
export default function Failed({ reset }: { error: Error; reset: () => void }) {
  return (
    <Trouble
      sentence="This page could not be made. What you typed and tapped is kept on this device and on the server."
      retry={reset}
    />
  )
}
