import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { forPage } from '@/server/platform/http/page-actor'
import { firm } from '@/server/firm/firm'
import { PracticeForm } from '@/ui/house-rules/practice-form'

export const metadata: Metadata = { title: firmTexts()('shell.pages.houseRules') }

export default async function PracticePage() {
  const { practice, version } = await forPage(firm)
  return <PracticeForm practice={practice} version={version} />
}
