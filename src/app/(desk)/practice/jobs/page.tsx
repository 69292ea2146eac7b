import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { forPage } from '@/server/platform/http/page-actor'
import { jobsPage } from '@/server/visits/own-jobs'
import { JobsView } from '@/ui/visits/jobs-view'

export const metadata: Metadata = { title: firmTexts()('shell.pages.visitTypes') }

export default async function JobsPage() {
  return <JobsView jobs={await forPage(jobsPage)} />
}
