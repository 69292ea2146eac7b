import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { forPage } from '@/server/platform/http/page-actor'
import { pondList } from '@/server/ponds/ponds'
import { mapTiles } from '@/server/platform/gateways/tiles'
import { PondList } from '@/ui/ponds/pond-list'

export const metadata: Metadata = { title: firmTexts()('shell.pages.ponds') }

export default async function PondsPage() {
  return <PondList ponds={await forPage(pondList)} tiles={mapTiles()} />
}
