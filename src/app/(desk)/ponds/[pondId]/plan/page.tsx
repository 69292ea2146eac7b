import type { Metadata } from 'next'
import { PondId } from '@/domain/ids'
import { forPage } from '@/server/http/page-actor'
import { idFrom } from '@/server/http/page-id'
import { planningPage } from '@/server/use-cases/visit-planning'
import { PlanForm } from '@/ui/season/plan-form'

export const metadata: Metadata = { title: 'Plan the cleanout' }

export default async function PlanPage({ params }: { params: Promise<{ pondId: string }> }) {
  const id = idFrom(PondId, (await params).pondId)
  return <PlanForm data={await forPage((actor) => planningPage(actor, id, 'spring-cleanout'))} />
}
