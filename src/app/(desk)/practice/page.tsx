import type { Metadata } from 'next'
import { forPage } from '@/server/http/page-actor'
import { firm } from '@/server/use-cases/firm'
import { PracticeForm } from '@/ui/practice/practice-form'

export const metadata: Metadata = { title: 'House practice' }

export default async function PracticePage() {
  const { practice, version } = await forPage(firm)
  return <PracticeForm practice={practice} version={version} />
}
