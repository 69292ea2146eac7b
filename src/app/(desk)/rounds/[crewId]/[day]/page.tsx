import type { Metadata } from 'next'
import { calendarDay } from '@/domain/fields'
import { CrewId } from '@/domain/ids'
import { forPage } from '@/server/http/page-actor'
import { idFrom } from '@/server/http/page-id'
import { daySheet } from '@/server/use-cases/rounds'
import { DaySheetView } from '@/ui/rounds/day-sheet'

export const metadata: Metadata = { title: 'Day sheet' }

export default async function DaySheetPage({ params }: { params: Promise<{ crewId: string; day: string }> }) {
  const { crewId, day } = await params
  const [crew, date] = [idFrom(CrewId, crewId), idFrom(calendarDay, day)]
  return <DaySheetView data={await forPage((actor) => daySheet(actor, crew, date))} />
}
