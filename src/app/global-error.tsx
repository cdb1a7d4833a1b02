'use client'

/** The last resort, where not even the frame of a page could be made. */
export default function Failed({ reset }: { error: Error; reset: () => void }) {
  return (
    <html lang="en">
      <body style={{ fontFamily: 'system-ui, sans-serif', margin: '10vh auto', maxWidth: '36rem', padding: '0 1rem' }}>
        <h1>Pheasant could not start this page</h1>
        <p>What was typed and tapped is kept.</p>
        <button type="button" onClick={reset} style={{ fontSize: '1.25rem', padding: '0.75rem 1.5rem' }}>
          Try again
        </button>
      </body>
    </html>
  )
}
