import type { Metadata } from 'next'
import { forPage } from '@/server/platform/http/page-actor'
import { jobsPage } from '@/server/visits/own-jobs'
import { JobsView } from '@/ui/visits/jobs-view'

export const metadata: Metadata = { title: 'Kinds of visits' }

export default async function JobsPage() {
  return <JobsView jobs={await forPage(jobsPage)} />
}
