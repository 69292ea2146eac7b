import { firmTexts } from '@/messages/texts'
import { Door } from '@/ui/people/door'
import { WaitForDatabase } from '@/ui/shell/wait-for-database'

export default function Unavailable() {
  const t = firmTexts()

  return (
    <Door title={t('shell.unavailable.databaseCannotReached')}>
      <p>{t('shell.unavailable.nothingSavedLostPage')}</p>
      <WaitForDatabase />
    </Door>
  )
}
