import { cookies, headers } from 'next/headers'
import { regionOf, type Region } from '@/domain/shared/region'
import { LOCALE_COOKIE, localeOf, textsIn, type Locale, type Texts } from '@/messages/texts'
import { currentActor } from './page-actor'

/** The language of who looks at a page. */
export const readerLocale = async (): Promise<Locale> => localeOf((await cookies()).get(LOCALE_COOKIE)?.value)

/** The habits of who looks at a page: as this person chose, else as the browser asks for. */
export async function readerRegion(): Promise<Region> {
  // a nicety: a lost database must not keep the page that says so from showing
  const chosen = (await currentActor().catch(() => null))?.preferences.region ?? 'system'
  return chosen === 'system' ? regionOf((await headers()).get('accept-language') ?? '') : chosen
}

/** The texts of a page that the server writes. */
export const readerTexts = async (): Promise<Texts> => textsIn(await readerLocale(), await readerRegion())
