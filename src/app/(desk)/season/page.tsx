import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { forPage } from '@/server/platform/http/page-actor'
import { WINDOW_JOBS, type WindowJob } from '@/core/season/house-rules'
import { seasonPage } from '@/server/season/season-view'
import { SeasonView } from '@/ui/season/season-view'

export const metadata: Metadata = { title: firmTexts()('shell.pages.season') }

export default async function SeasonPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>
}) {
  const asked = await searchParams
  const wanted = Number(asked.year)
  const job = WINDOW_JOBS.find((j) => j === asked.job) ?? ('spring-cleanout' satisfies WindowJob)
  const year = wanted >= 2000 && wanted <= 2100 && Number.isInteger(wanted) ? wanted : null
  const data = await forPage((actor) => seasonPage(actor, year, job))
  return <SeasonView key={`${data.year}`} data={data} />
}
