import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { forPage } from '@/server/platform/http/page-actor'
import { placesForNewPond } from '@/server/ponds/ponds'
import { NewPondForm } from '@/ui/ponds/new-pond-form'
import { readerTexts } from '@/server/platform/http/reader-texts'

export const metadata: Metadata = { title: firmTexts()('shell.pages.addPond') }

export default async function NewPondPage() {
  const t = await readerTexts()

  const places = await forPage(placesForNewPond)
  return (
    <>
      <div className="page-head">
        <h1>{t('shell.pondsNew.addPond')}</h1>
        <span className="soft">{t('shell.pondsNew.anyFieldTakesAny')}</span>
      </div>
      <NewPondForm places={places} />
    </>
  )
}
