import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { forPage } from '@/server/platform/http/page-actor'
import { firm } from '@/server/firm/firm'
import { HouseRulesForm } from '@/ui/house-rules/house-rules-form'

export const metadata: Metadata = { title: firmTexts()('shell.pages.houseRules') }

export default async function HouseRulesPage() {
  const { rules, version } = await forPage(firm)
  return <HouseRulesForm rules={rules} version={version} />
}
