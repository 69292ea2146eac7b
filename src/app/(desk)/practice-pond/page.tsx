import type { Metadata } from 'next'
import { forPage } from '@/server/http/page-actor'
import { practicePond } from '@/server/use-cases/lab/practice-games'
import { PracticePondView } from '@/ui/practice-pond/practice-pond-view'

export const metadata: Metadata = { title: 'Practice pond' }

export default async function PracticePondPage() {
  return <PracticePondView data={await forPage(practicePond)} />
}
