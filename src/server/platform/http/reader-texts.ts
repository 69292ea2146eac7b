import { cookies } from 'next/headers'
import { LOCALE_COOKIE, localeOf, textsIn, type Locale, type Texts } from '@/messages/texts'

/** The language of who looks at a page. */
export const readerLocale = async (): Promise<Locale> => localeOf((await cookies()).get(LOCALE_COOKIE)?.value)

/** The texts of a page that the server writes. */
export const readerTexts = async (): Promise<Texts> => textsIn(await readerLocale())
