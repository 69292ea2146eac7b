import type { Metadata, Viewport } from 'next'
import type { ReactNode } from 'react'
import '@fontsource-variable/atkinson-hyperlegible-next'
import '@fontsource-variable/literata'
import './theme.scss'
import { currentActor } from '@/server/platform/http/page-actor'

export const metadata: Metadata = {
  title: { default: 'Slow Reed', template: '%s · Slow Reed' },
  description: 'Bog and wetland filters, and the year’s work on customers’ ponds',
}
export const viewport: Viewport = { width: 'device-width', initialScale: 1 }

export default async function RootLayout({ children }: { children: ReactNode }) {
  // the theme is a nicety: a lost database must not keep the page that says so from showing
  const actor = await currentActor().catch(() => null)
  return (
    <html lang="en" data-bs-theme={actor?.preferences.theme ?? 'light'}>
      <body>{children}</body>
    </html>
  )
}
