import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import Link from 'next/link'
import { PondId } from '@/domain/shared/ids'
import { forPage } from '@/server/platform/http/page-actor'
import { idFrom } from '@/server/platform/http/page-id'
import { pondPractice } from '@/server/ponds/ponds'
import { OwnPracticeForm } from '@/ui/house-rules/own-practice-form'

export const metadata: Metadata = { title: firmTexts()('shell.pages.pondRules') }

export default async function PondPracticePage({ params }: { params: Promise<{ pondId: string }> }) {
  const t = firmTexts()

  const id = idFrom(PondId, (await params).pondId)
  const { pond, house } = await forPage((actor) => pondPractice(actor, id))
  return (
    <>
      <div className="page-head">
        <h1>{t('shell.pondsPractice.practicePond')}</h1>
        <Link href={`/ponds/${pond.id}`}>
          {pond.siteName}: {pond.name}
        </Link>
      </div>
      <OwnPracticeForm pond={pond} house={house} />
    </>
  )
}
