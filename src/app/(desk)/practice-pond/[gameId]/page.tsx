import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { PracticeGameId } from '@/domain/shared/ids'
import { forPage } from '@/server/platform/http/page-actor'
import { idFrom } from '@/server/platform/http/page-id'
import { practiceGame } from '@/server/trainer/practice-games'
import { SeasonPlay } from '@/ui/trainer/season-play'

export const metadata: Metadata = { title: firmTexts()('shell.pages.trainer') }

export default async function PracticeGamePage({ params }: { params: Promise<{ gameId: string }> }) {
  const id = idFrom(PracticeGameId, (await params).gameId)
  return <SeasonPlay data={await forPage((actor) => practiceGame(actor, id))} />
}
