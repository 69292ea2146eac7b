import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { forPage } from '@/server/platform/http/page-actor'
import { jobPage } from '@/server/visits/own-jobs'
import { JobEditor } from '@/ui/visits/job-editor'

export const metadata: Metadata = { title: firmTexts()('shell.pages.visitSteps') }

export default async function JobPage({ params }: { params: Promise<{ key: string }> }) {
  const { key } = await params
  const data = await forPage((actor) => jobPage(actor, key))
  return <JobEditor key={data.version} data={data} />
}
