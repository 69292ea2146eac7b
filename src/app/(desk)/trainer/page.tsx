import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { forPage } from '@/server/platform/http/page-actor'
import { trainerPage } from '@/server/trainer/trainer-games'
import { TrainerView } from '@/ui/trainer/trainer-view'

export const metadata: Metadata = { title: firmTexts()('shell.pages.trainer') }

export default async function TrainerPage() {
  return <TrainerView data={await forPage(trainerPage)} />
}
