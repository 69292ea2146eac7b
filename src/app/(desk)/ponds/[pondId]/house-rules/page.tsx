import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { PondId } from '@/domain/shared/ids'
import { forPage } from '@/server/platform/http/page-actor'
import { idFrom } from '@/server/platform/http/page-id'
import { pondRules } from '@/server/ponds/ponds'
import { PondRulesView } from '@/ui/house-rules/pond-rules-view'
import { readerTexts } from '@/server/platform/http/reader-texts'

export const metadata: Metadata = { title: firmTexts()('shell.pages.pondRules') }

export default async function PondRulesPage({ params }: { params: Promise<{ pondId: string }> }) {
  const t = await readerTexts()

  const id = idFrom(PondId, (await params).pondId)
  const { pond, house, houseConstants } = await forPage((actor) => pondRules(actor, id))
  return (
    <>
      <div className="tab-head">
        <h2>{t('shell.pondsPractice.trainingPond')}</h2>
      </div>
      <PondRulesView pond={pond} house={house} houseConstants={houseConstants} />
    </>
  )
}
