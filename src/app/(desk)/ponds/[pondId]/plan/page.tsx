import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { PondId } from '@/domain/shared/ids'
import { forPage } from '@/server/platform/http/page-actor'
import { idFrom } from '@/server/platform/http/page-id'
import { planningPage } from '@/server/visits/visit-planning'
import { PlanForm } from '@/ui/season/plan-form'

export const metadata: Metadata = { title: firmTexts()('shell.pages.scheduleVisit') }

interface PlanPageProps {
  readonly params: Promise<{ pondId: string }>
  readonly searchParams: Promise<{ job?: string | string[] }>
}

export default async function PlanPage({ params, searchParams }: PlanPageProps) {
  const id = idFrom(PondId, (await params).pondId)
  const { job } = await searchParams
  const key = typeof job === 'string' ? job : 'spring-cleanout'
  return <PlanForm key={key} data={await forPage((actor) => planningPage(actor, id, key))} />
}
