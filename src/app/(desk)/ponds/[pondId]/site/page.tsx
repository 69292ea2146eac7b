import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { PondId } from '@/domain/shared/ids'
import { forPage } from '@/server/platform/http/page-actor'
import { idFrom } from '@/server/platform/http/page-id'
import { readerTexts } from '@/server/platform/http/reader-texts'
import { sitePlanPage } from '@/server/survey/site-survey'
import { SiteSurveyEditor } from '@/ui/site-plan/site-survey-editor'

export const metadata: Metadata = { title: firmTexts()('shell.pages.siteSurvey') }

export default async function SitePage({ params }: { params: Promise<{ pondId: string }> }) {
  const t = await readerTexts()
  const id = idFrom(PondId, (await params).pondId)
  const data = await forPage((actor) => sitePlanPage(actor, id))
  return (
    <>
      <div className="tab-head">
        <h2>{t('sitePlan.survey.title')}</h2>
      </div>
      <SiteSurveyEditor key={data.pond.version} data={data} />
    </>
  )
}
