import type { Metadata } from 'next'
import { PondId } from '@/domain/ids'
import { forPage } from '@/server/http/page-actor'
import { idFrom } from '@/server/http/page-id'
import { whatIfBench } from '@/server/use-cases/lab/what-ifs'
import { WhatIfBench } from '@/ui/lab/what-if-bench'

export const metadata: Metadata = { title: 'What if' }

interface PageProps {
  params: Promise<{ pondId: string }>
  searchParams: Promise<{ saved?: string; begin?: string }>
}

export default async function WhatIfPage({ params, searchParams }: PageProps) {
  const id = idFrom(PondId, (await params).pondId)
  const { saved, begin } = await searchParams
  return <WhatIfBench data={await forPage((actor) => whatIfBench(actor, id))} saved={saved} begin={begin} />
}
