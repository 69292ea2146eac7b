import type { Metadata } from 'next'
import { calendarDay } from '@/domain/fields'
import { forPage } from '@/server/http/page-actor'
import { fieldDay } from '@/server/use-cases/field'
import { FieldDay } from '@/ui/field/field-day'

export const metadata: Metadata = { title: 'Field sheet' }

export default async function FieldPage({ searchParams }: { searchParams: Promise<Record<string, string | string[] | undefined>> }) {
  const day = calendarDay.safeParse((await searchParams).day)
  return <FieldDay data={await forPage((actor) => fieldDay(actor, day.success ? day.data : undefined))} />
}
