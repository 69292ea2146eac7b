'use client'
import { useEffect, useState } from 'react'
import { dayMonth, duration, shortDate } from '@/domain/shared/dates'
import type { WhyVisit } from '@/server/schedule/why-visit'
import { ProblemNote } from '@/ui/kit/problem-note'
import { fetchJson, type SendOutcome } from '@/ui/send'

interface WhyVisitProps {
  readonly visitId: string
  readonly crewName: (id: string) => string
}

/** Why a visit stands where it does: asked for once it is unfolded. */
export function WhyVisitNote({ visitId, crewName }: WhyVisitProps) {
  const [answer, setAnswer] = useState<SendOutcome<WhyVisit> | null>(null)
  useEffect(() => {
    let wanted = true
    void fetchJson<WhyVisit>(`/api/v1/visits/${visitId}/why`).then((found) => wanted && setAnswer(found))
    return () => {
      wanted = false
    }
  }, [visitId])
  if (!answer) return <p className="soft mt-2 mb-0">Looking at the days around it.</p>
  if (!answer.ok) return <ProblemNote problem={answer.problem} />
  return (
    <ul className="plain-list mt-2 mb-0" aria-label="Why here, why then">
      {reasons(answer.value, crewName).map((reason) => (
        <li key={reason}>{reason}</li>
      ))}
    </ul>
  )
}

function reasons(why: WhyVisit, crewName: (id: string) => string): string[] {
  const { window, offBestDays, likelihood, neighbours, slackMin, others } = why
  const off = Math.abs(offBestDays)
  const days = `${off} ${off === 1 ? 'day' : 'days'} ${offBestDays > 0 ? 'after' : 'before'} its best day, ${dayMonth(window.best)}`
  return [
    `Window ${dayMonth(window.earliest)} – ${dayMonth(window.latest)}; ${off === 0 ? 'this is its best day' : days}.`,
    ...(likelihood === null ? [] : [`Conditions hold on this day in ${Math.round(likelihood * 100)} of 100 years.`]),
    `Crews with the skills, kit and tanks for it: ${why.ableCrews.length === 0 ? 'none' : why.ableCrews.map(crewName).join(', ')}.`,
    `It adds ${duration(why.detourMin)} of driving to ${crewName(why.crewId)}’s day${
      neighbours.length === 0 ? '' : `; near ${neighbours.map((n) => `${why.sites[n.visit] ?? 'another stop'} (${duration(n.travelMin)})`).join(', ')}`
    }.`,
    slackMin >= 0
      ? `It could begin up to ${duration(slackMin)} later before anything of that day is late.`
      : `The day is ${duration(-slackMin)} too full as it stands.`,
    why.locked
      ? 'Promised to the customer: plans leave it where it is.'
      : others.length === 0
        ? 'No other day within four weeks would take it without breaking something.'
        : `Cheapest other places: ${others.map((o) => `${crewName(o.crew)}, ${shortDate(o.day)} (${priceWords(o.costMin)})`).join('; ')}.`,
  ]
}

const priceWords = (costMin: number): string =>
  Math.abs(costMin) < 1 ? 'costs nothing' : costMin > 0 ? `costs ${duration(costMin)}` : `saves ${duration(-costMin)}`
