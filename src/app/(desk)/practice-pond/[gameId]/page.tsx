import type { Metadata } from 'next'
import { PracticeGameId } from '@/domain/ids'
import { forPage } from '@/server/http/page-actor'
import { idFrom } from '@/server/http/page-id'
import { practiceGame } from '@/server/use-cases/lab/practice-games'
import { SeasonPlay } from '@/ui/practice-pond/season-play'

export const metadata: Metadata = { title: 'Practice pond' }

export default async function PracticeGamePage({ params }: { params: Promise<{ gameId: string }> }) {
  const id = idFrom(PracticeGameId, (await params).gameId)
  return <SeasonPlay data={await forPage((actor) => practiceGame(actor, id))} />
}
