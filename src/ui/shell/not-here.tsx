'use client'
import Link from 'next/link'
import { useTexts } from '@/ui/kit/texts'

/** In the place of a page of the desk that is not there. */
export function NotHere() {
  const t = useTexts()

  return (
    <section className="sheet">
      <h1 className="fs-3">{t('shell.notFound.notHere')}</h1>
      <p>{t('shell.notFound.mayHaveBeenRemoved')}</p>
      <p className="mb-0 d-flex flex-wrap gap-3">
        <Link href="/ponds">{t('shell.notFound.allPonds')}</Link>
        <Link href="/customers">{t('shell.notFound.allCustomers')}</Link>
        <Link href="/">{t('shell.notFound.backToday')}</Link>
      </p>
    </section>
  )
}
