import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { PondId } from '@/domain/shared/ids'
import { forPage } from '@/server/platform/http/page-actor'
import { idFrom } from '@/server/platform/http/page-id'
import { servicePlan } from '@/server/schedule/service-plans'
import { ServicePlanForm } from '@/ui/schedule/service-plan-form'
import { readerTexts } from '@/server/platform/http/reader-texts'

export const metadata: Metadata = { title: firmTexts()('shell.pages.servicePlan') }

export default async function ServicePage({ params }: { params: Promise<{ pondId: string }> }) {
  const t = await readerTexts()

  const id = idFrom(PondId, (await params).pondId)
  const { pond, kept, currency } = await forPage((actor) => servicePlan(actor, id))
  return (
    <>
      <div className="tab-head">
        <h2>{t('shell.pondsService.servicePlan')}</h2>
      </div>
      <ServicePlanForm pondId={pond.id} kept={kept} currency={currency} />
    </>
  )
}
