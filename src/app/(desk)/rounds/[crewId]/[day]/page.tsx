import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { calendarDay } from '@/domain/shared/fields'
import { CrewId } from '@/domain/shared/ids'
import { forPage } from '@/server/platform/http/page-actor'
import { idFrom } from '@/server/platform/http/page-id'
import { daySheet } from '@/server/rounds/day-sheet'
import { DaySheetView } from '@/ui/rounds/day-sheet'

export const metadata: Metadata = { title: firmTexts()('shell.pages.daySheet') }

export default async function DaySheetPage({ params }: { params: Promise<{ crewId: string; day: string }> }) {
  const { crewId, day } = await params
  const [crew, date] = [idFrom(CrewId, crewId), idFrom(calendarDay, day)]
  return <DaySheetView data={await forPage((actor) => daySheet(actor, crew, date))} />
}
