import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { forPage } from '@/server/platform/http/page-actor'
import { practicePond } from '@/server/trainer/practice-games'
import { PracticePondView } from '@/ui/trainer/practice-pond-view'

export const metadata: Metadata = { title: firmTexts()('shell.pages.trainer') }

export default async function PracticePondPage() {
  return <PracticePondView data={await forPage(practicePond)} />
}
