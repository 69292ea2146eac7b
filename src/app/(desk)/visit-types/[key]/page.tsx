import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { forPage } from '@/server/platform/http/page-actor'
import { visitTypePage } from '@/server/visits/own-visit-types'
import { VisitTypeEditor } from '@/ui/visits/visit-type-editor'

export const metadata: Metadata = { title: firmTexts()('shell.pages.visitSteps') }

export default async function JobPage({ params }: { params: Promise<{ key: string }> }) {
  const { key } = await params
  const data = await forPage((actor) => visitTypePage(actor, key))
  return <VisitTypeEditor key={data.version} data={data} />
}
