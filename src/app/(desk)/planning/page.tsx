import type { Metadata } from 'next'
import { forPage } from '@/server/http/page-actor'
import { durationsPage } from '@/server/use-cases/durations'
import { planningBoard } from '@/server/use-cases/planning/runs'
import { PlanningView } from '@/ui/planning/planning-view'

export const metadata: Metadata = { title: 'Plan the season' }

export default async function PlanningPage() {
  return <PlanningView data={await forPage(planningBoard)} lessons={await forPage(durationsPage)} />
}
