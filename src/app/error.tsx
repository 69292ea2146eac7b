'use client'
import { useTexts } from '@/ui/kit/texts'
import { Door } from '@/ui/people/door'

export default function ErrorPage({ reset }: { reset: () => void }) {
  const t = useTexts()

  return (
    <Door title={t('shell.error.somethingWentWrongHere')}>
      <p>{t('shell.error.hasBeenNotedWhat')}</p>
      <button className="btn btn-primary" onClick={reset}>
        {t('shell.error.tryAgain')}
      </button>
    </Door>
  )
}
