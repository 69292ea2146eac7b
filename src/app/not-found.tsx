import { firmTexts } from '@/messages/texts'
import Link from 'next/link'
import { Door } from '@/ui/people/door'

export default function NotFound() {
  const t = firmTexts()

  return (
    <Door title={t('shell.notFound.notHere')}>
      <p>{t('shell.notFound.mayHaveBeenRemoved')}</p>
      <Link href="/">{t('shell.notFound.backToday')}</Link>
    </Door>
  )
}
