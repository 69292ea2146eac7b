import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { PondId } from '@/domain/shared/ids'
import { forPage } from '@/server/platform/http/page-actor'
import { idFrom } from '@/server/platform/http/page-id'
import { pondFiles } from '@/server/ponds/pond-pages'
import { FilesTab } from '@/ui/ponds/workspace/files-tab'

export const metadata: Metadata = { title: firmTexts()('shell.pages.files') }

export default async function Page({ params }: { params: Promise<{ pondId: string }> }) {
  const id = idFrom(PondId, (await params).pondId)
  return <FilesTab data={await forPage((actor) => pondFiles(actor, id))} />
}
