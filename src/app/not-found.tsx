import Link from 'next/link'
import { Door } from '@/ui/people/door'
import { readerTexts } from '@/server/platform/http/reader-texts'

export default async function NotFound() {
  const t = await readerTexts()

  return (
    <Door title={t('shell.notFound.notHere')}>
      <p>{t('shell.notFound.mayHaveBeenRemoved')}</p>
      <Link href="/">{t('shell.notFound.backToday')}</Link>
    </Door>
  )
}
