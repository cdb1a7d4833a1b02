import '@fontsource-variable/atkinson-hyperlegible-next'
import '@fontsource-variable/bricolage-grotesque'
import './globals.css'
import type { Metadata, Viewport } from 'next'
import { cookies, headers } from 'next/headers'
import { OutboxNotice } from '@/ui/outbox/outbox-notice'

export const metadata: Metadata = {
  title: { default: 'Pheasant', template: '%s · Pheasant' },
  description: 'Roasts, back from the promised minute.',
}
export const viewport: Viewport = { width: 'device-width', initialScale: 1, themeColor: '#10362b' }

export default async function Layout({ children }: { children: React.ReactNode }) {
  await headers() // every page is rendered for its request: the content policy's nonce is new each time
  const theme = (await cookies()).get('pheasant-theme')?.value === 'night' ? 'night' : 'day'
  return (
    <html lang="en" data-theme={theme}>
      <body>
        <OutboxNotice />
        {children}
      </body>
    </html>
  )
}
