import type { Metadata } from 'next'
import { forPage } from '@/server/platform/http/page-actor'
import { durationsPage } from '@/server/visits/durations'
import { planningBoard } from '@/server/schedule/runs'
import { PlanningView } from '@/ui/schedule/planning-view'

export const metadata: Metadata = { title: 'Plan the season' }

export default async function PlanningPage() {
  return <PlanningView data={await forPage(planningBoard)} lessons={await forPage(durationsPage)} />
}
