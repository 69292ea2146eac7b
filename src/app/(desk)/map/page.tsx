import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { calendarDay } from '@/domain/shared/fields'
import { forPage } from '@/server/platform/http/page-actor'
import { mapPage } from '@/server/rounds/map-page'
import { MapView } from '@/ui/map/map-view'

export const metadata: Metadata = { title: firmTexts()('shell.pages.map') }

export default async function MapPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>
}) {
  const day = calendarDay.safeParse((await searchParams).day)
  return <MapView data={await forPage((actor) => mapPage(actor, day.success ? day.data : null))} />
}
