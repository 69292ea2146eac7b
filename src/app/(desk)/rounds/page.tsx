import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { calendarDay } from '@/domain/shared/fields'
import { forPage } from '@/server/platform/http/page-actor'
import { readerRegion } from '@/server/platform/http/reader-texts'
import { roundsPage } from '@/server/rounds/rounds'
import { RoundsView } from '@/ui/rounds/rounds-view'

export const metadata: Metadata = { title: firmTexts()('shell.pages.rounds') }

export default async function RoundsPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>
}) {
  const day = calendarDay.safeParse((await searchParams).day)
  const region = await readerRegion()
  return <RoundsView data={await forPage((actor) => roundsPage(actor, day.success ? day.data : null, region))} />
}
