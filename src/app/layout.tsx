import type { Metadata, Viewport } from 'next'
import type { ReactNode } from 'react'
import '@fontsource-variable/atkinson-hyperlegible-next'
import '@fontsource-variable/literata'
import './theme.scss'
import { currentActor } from '@/server/platform/http/page-actor'
import { readerLocale } from '@/server/platform/http/reader-texts'
import { TextsProvider } from '@/ui/kit/texts'
import { firmTexts } from '@/messages/texts'
import { ConfirmProvider } from '@/ui/kit/confirm'

export const metadata: Metadata = {
  title: { default: 'Slow Reed', template: '%s · Slow Reed' },
  description: firmTexts()('shell.app.description'),
}
export const viewport: Viewport = { width: 'device-width', initialScale: 1 }

export default async function RootLayout({ children }: { children: ReactNode }) {
  // the theme is a nicety: a lost database must not keep the page that says so from showing
  const actor = await currentActor().catch(() => null)
  const locale = await readerLocale()
  return (
    <html lang={locale} data-bs-theme={actor?.preferences.theme ?? 'light'}>
      <body>
        <TextsProvider locale={locale}>
          <ConfirmProvider>{children}</ConfirmProvider>
        </TextsProvider>
      </body>
    </html>
  )
}
