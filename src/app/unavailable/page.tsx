import { Door } from '@/ui/people/door'
import { WaitForDatabase } from '@/ui/shell/wait-for-database'
import { readerTexts } from '@/server/platform/http/reader-texts'

export default async function Unavailable() {
  const t = await readerTexts()

  return (
    <Door title={t('shell.unavailable.databaseCannotReached')}>
      <p>{t('shell.unavailable.nothingSavedLostPage')}</p>
      <WaitForDatabase />
    </Door>
  )
}
