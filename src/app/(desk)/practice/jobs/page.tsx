import type { Metadata } from 'next'
import { forPage } from '@/server/http/page-actor'
import { jobsPage } from '@/server/use-cases/own-jobs'
import { JobsView } from '@/ui/jobs/jobs-view'

export const metadata: Metadata = { title: 'Kinds of visits' }

export default async function JobsPage() {
  return <JobsView jobs={await forPage(jobsPage)} />
}
