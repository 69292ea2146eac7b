'use client'
import { useTexts, type TextId } from '@/ui/kit/texts'

/** In the place of a page that failed, with the way to try it again. @param kept what is not lost by it */
export function WentWrong({ kept, onAgain }: { kept: TextId | null; onAgain: () => void }) {
  const t = useTexts()

  return (
    <section className="sheet m-3" role="alert">
      <h1 className="fs-3">{t('shell.error.somethingWentWrongHere')}</h1>
      <p>{t(kept ?? 'shell.error.hasBeenNotedWhat')}</p>
      <button type="button" className="btn btn-primary" onClick={onAgain}>
        {t('shell.error.tryAgain')}
      </button>
    </section>
  )
}
