import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { forPage } from '@/server/platform/http/page-actor'
import { todayIn } from '@/server/platform/today'
import { WINDOW_JOBS, type WindowJob } from '@/core/season/house-rules'
import { seasonPage } from '@/server/season/season-view'
import { SeasonView } from '@/ui/season/season-view'

export const metadata: Metadata = { title: firmTexts()('shell.pages.season') }

/** From autumn on, the year that people plan for is the next one. */
const NEXT_YEAR_FROM_MONTH = 11

export default async function SeasonPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>
}) {
  const asked = await searchParams
  const wanted = Number(asked.year)
  const job = WINDOW_JOBS.find((j) => j === asked.job) ?? ('spring-cleanout' satisfies WindowJob)
  const data = await forPage((actor) => {
    const today = todayIn(actor.timeZone)
    const usual = Number(today.slice(0, 4)) + (Number(today.slice(5, 7)) >= NEXT_YEAR_FROM_MONTH ? 1 : 0)
    return seasonPage(actor, wanted >= 2000 && wanted <= 2100 && Number.isInteger(wanted) ? wanted : usual, job)
  })
  return <SeasonView key={`${data.year}`} data={data} />
}
