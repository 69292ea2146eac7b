import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { forPage } from '@/server/platform/http/page-actor'
import { houseConstants } from '@/server/house-rules/house-constants'
import { HouseConstantsView } from '@/ui/house-rules/house-constants-view'

export const metadata: Metadata = { title: firmTexts()('shell.pages.designConstants') }

export default async function HouseConstantsPage() {
  const { constants, version } = await forPage(houseConstants)
  return <HouseConstantsView constants={constants} version={version} />
}
