import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { forPage } from '@/server/platform/http/page-actor'
import { visitTypesPage } from '@/server/visits/own-visit-types'
import { VisitTypesView } from '@/ui/visits/visit-types-view'

export const metadata: Metadata = { title: firmTexts()('shell.pages.visitTypes') }

export default async function JobsPage() {
  return <VisitTypesView jobs={await forPage(visitTypesPage)} />
}
