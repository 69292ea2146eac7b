import { firmTexts } from '@/messages/texts'
import Link from 'next/link'
import { Door } from '@/ui/people/door'

export default function NotAllowed() {
  const t = firmTexts()

  return (
    <Door title={t('shell.notAllowed.notAccount')}>
      <p>{t('shell.notAllowed.yourRoleDoesNot')}</p>
      <Link href="/">{t('shell.notAllowed.backToday')}</Link>
    </Door>
  )
}
