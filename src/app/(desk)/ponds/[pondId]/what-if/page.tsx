import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { PondId } from '@/domain/shared/ids'
import { forPage } from '@/server/platform/http/page-actor'
import { idFrom } from '@/server/platform/http/page-id'
import { whatIfPage } from '@/server/forecasts/what-ifs'
import { WhatIfView } from '@/ui/forecasts/what-if-view'

export const metadata: Metadata = { title: firmTexts()('shell.pages.whatIf') }

interface PageProps {
  params: Promise<{ pondId: string }>
  searchParams: Promise<{ saved?: string; begin?: string }>
}

export default async function WhatIfPage({ params, searchParams }: PageProps) {
  const id = idFrom(PondId, (await params).pondId)
  const { saved, begin } = await searchParams
  return <WhatIfView data={await forPage((actor) => whatIfPage(actor, id))} saved={saved} begin={begin} />
}
