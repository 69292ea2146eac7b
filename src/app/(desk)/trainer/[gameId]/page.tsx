import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { TrainerGameId } from '@/domain/shared/ids'
import { forPage } from '@/server/platform/http/page-actor'
import { idFrom } from '@/server/platform/http/page-id'
import { trainerGame } from '@/server/trainer/trainer-games'
import { SeasonPlay } from '@/ui/trainer/season-play'

export const metadata: Metadata = { title: firmTexts()('shell.pages.trainer') }

export default async function TrainerGamePage({ params }: { params: Promise<{ gameId: string }> }) {
  const id = idFrom(TrainerGameId, (await params).gameId)
  return <SeasonPlay data={await forPage((actor) => trainerGame(actor, id))} />
}
