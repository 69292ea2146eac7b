import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { forPage } from '@/server/platform/http/page-actor'
import { idFrom } from '@/server/platform/http/page-id'
import { PondId } from '@/domain/shared/ids'
import { pondForEdit } from '@/server/ponds/ponds'
import { EditPondForm } from '@/ui/ponds/edit-pond-form'
import { readerTexts } from '@/server/platform/http/reader-texts'

export const metadata: Metadata = { title: firmTexts()('shell.pages.survey') }

export default async function SurveyPage({ params }: { params: Promise<{ pondId: string }> }) {
  const t = await readerTexts()

  const id = idFrom(PondId, (await params).pondId)
  const pond = await forPage((actor) => pondForEdit(actor, id))
  return (
    <>
      <div className="tab-head">
        <h2>{t('shell.pondsSurvey.survey', { name: pond.name })}</h2>
      </div>
      <EditPondForm key={pond.version} pond={pond} />
    </>
  )
}
