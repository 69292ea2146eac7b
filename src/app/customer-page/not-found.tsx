import { firmTexts } from '@/messages/texts'
import { Door } from '@/ui/people/door'

/** For customers: nothing here leads into the firm's own pages. */
export default function CustomerPageNotFound() {
  const t = firmTexts()

  return (
    <Door title={t('shell.gardenNotFound.pageNotHereAny')}>
      <p className="mb-0">{t('shell.gardenNotFound.linkMayIncompleteHas')}</p>
    </Door>
  )
}
