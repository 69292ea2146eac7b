import type { Metadata } from 'next'
import { PondId } from '@/domain/ids'
import { forPage } from '@/server/http/page-actor'
import { idFrom } from '@/server/http/page-id'
import { whatIfBench } from '@/server/use-cases/lab/what-ifs'
import { SettlingView } from '@/ui/lab/settling-view'

export const metadata: Metadata = { title: 'Settling in' }

export default async function SettlingPage({ params }: { params: Promise<{ pondId: string }> }) {
  const id = idFrom(PondId, (await params).pondId)
  return <SettlingView data={await forPage((actor) => whatIfBench(actor, id))} />
}
