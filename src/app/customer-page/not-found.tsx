import { Door } from '@/ui/people/door'
import { readerTexts } from '@/server/platform/http/reader-texts'

/** For customers: nothing here leads into the firm's own pages. */
export default async function LinkNotFound() {
  const t = await readerTexts()

  return (
    <Door title={t('shell.linkNotFound.pageNotHereAny')}>
      <p className="mb-0">{t('shell.linkNotFound.linkMayIncompleteHas')}</p>
    </Door>
  )
}
