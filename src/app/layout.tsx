import type { Metadata, Viewport } from 'next'
import type { ReactNode } from 'react'
import '@fontsource-variable/atkinson-hyperlegible-next'
import '@fontsource-variable/literata'
import './theme.scss'
import { currentActor } from '@/server/platform/http/page-actor'
import { readerLocale, readerRegion } from '@/server/platform/http/reader-texts'
import { TextsProvider } from '@/ui/kit/texts'
import { firmTexts } from '@/messages/texts'
import { ConfirmProvider } from '@/ui/kit/confirm'
import { KEEP_EARLY_INPUT } from '@/ui/shell/keep-early-input'
import { WEAR_SYSTEM_THEME } from '@/ui/kit/theme'
import { ToastProvider } from '@/ui/kit/toasts'
import { EarlyInput } from '@/ui/shell/early-input'

export const metadata: Metadata = {
  title: { default: 'Slow Reed', template: '%s · Slow Reed' },
  description: firmTexts()('shell.app.description'),
}
export const viewport: Viewport = { width: 'device-width', initialScale: 1 }

export default async function RootLayout({ children }: { children: ReactNode }) {
  // the theme is a nicety: a lost database must not keep the page that says so from showing
  const actor = await currentActor().catch(() => null)
  const locale = await readerLocale()
  const choice = actor?.preferences.theme ?? 'light'
  return (
    // a page that follows its device is dressed before React sees it
    <html lang={locale} data-bs-theme={choice === 'system' ? 'light' : choice} suppressHydrationWarning>
      <head>
        {choice === 'system' ? <script dangerouslySetInnerHTML={{ __html: WEAR_SYSTEM_THEME }} /> : null}
        <script dangerouslySetInnerHTML={{ __html: KEEP_EARLY_INPUT }} />
      </head>
      <body>
        <TextsProvider locale={locale} region={await readerRegion()}>
          <ConfirmProvider>
            <ToastProvider>
              {children}
              <EarlyInput />
            </ToastProvider>
          </ConfirmProvider>
        </TextsProvider>
      </body>
    </html>
  )
}
