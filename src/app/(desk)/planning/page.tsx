import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { forPage } from '@/server/platform/http/page-actor'
import { durationsPage } from '@/server/visits/durations'
import { planningBoard } from '@/server/schedule/runs'
import { PlanningView } from '@/ui/schedule/planning-view'

export const metadata: Metadata = { title: firmTexts()('shell.pages.planTheSeason') }

export default async function PlanningPage() {
  return <PlanningView data={await forPage(planningBoard)} corrections={await forPage(durationsPage)} />
}
