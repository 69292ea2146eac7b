import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { PondId } from '@/domain/shared/ids'
import { forPage } from '@/server/platform/http/page-actor'
import { idFrom } from '@/server/platform/http/page-id'
import { designPage } from '@/server/design/designs'
import { DesignEditor } from '@/ui/design/design-editor'

export const metadata: Metadata = { title: firmTexts()('shell.pages.filterDesign') }

export default async function DesignPage({
  params,
  searchParams,
}: {
  params: Promise<{ pondId: string }>
  searchParams: Promise<Record<string, string | string[] | undefined>>
}) {
  const id = idFrom(PondId, (await params).pondId)
  const data = await forPage((actor) => designPage(actor, id))
  const wanted = Number((await searchParams).version)
  return (
    <DesignEditor
      key={`${data.designs.length}:${wanted}`}
      data={data}
      versionNumber={Number.isInteger(wanted) && wanted > 0 ? wanted : null}
    />
  )
}
