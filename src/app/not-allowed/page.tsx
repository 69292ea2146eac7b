import Link from 'next/link'
import { Door } from '@/ui/people/door'
import { readerTexts } from '@/server/platform/http/reader-texts'

export default async function NotAllowed() {
  const t = await readerTexts()

  return (
    <Door title={t('shell.notAllowed.notAccount')}>
      <p>{t('shell.notAllowed.yourRoleDoesNot')}</p>
      <Link href="/">{t('shell.notAllowed.backToday')}</Link>
    </Door>
  )
}
