import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { PondId } from '@/domain/shared/ids'
import { forPage } from '@/server/platform/http/page-actor'
import { idFrom } from '@/server/platform/http/page-id'
import { designBench } from '@/server/design/designs'
import { DesignBench } from '@/ui/design/design-bench'

export const metadata: Metadata = { title: firmTexts()('shell.pages.filterDesign') }

export default async function DesignPage({
  params,
  searchParams,
}: {
  params: Promise<{ pondId: string }>
  searchParams: Promise<Record<string, string | string[] | undefined>>
}) {
  const id = idFrom(PondId, (await params).pondId)
  const data = await forPage((actor) => designBench(actor, id))
  const wanted = Number((await searchParams).version)
  return <DesignBench key={`${data.designs.length}:${wanted}`} data={data} versionNumber={Number.isInteger(wanted) && wanted > 0 ? wanted : null} />
}
