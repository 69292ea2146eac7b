'use client'
import { type Texts, useTexts } from '@/ui/kit/texts'
import { duration } from '@/domain/shared/dates'
import type { WhyVisit } from '@/server/schedule/why-visit'
import { ProblemNote } from '@/ui/kit/problem-note'
import { useServerData } from '@/ui/kit/server-data'

interface WhyVisitProps {
  readonly visitId: string
  readonly crewName: (id: string) => string
}

/** Why a visit stands where it does: asked for once it is unfolded. */
export function WhyVisitNote({ visitId, crewName }: WhyVisitProps) {
  const t = useTexts()

  const { value: why, problem } = useServerData<WhyVisit>(`/api/v1/visits/${visitId}/why`)
  if (problem) return <ProblemNote problem={problem} />
  if (!why) return <p className="soft mt-2 mb-0">{t('rounds.whyVisit.lookingDaysAround')}</p>
  return (
    <ul className="plain-list mt-2 mb-0" aria-label={t('rounds.whyVisit.whyHereWhyThen')}>
      {reasons(why, crewName, t).map((reason) => (
        <li key={reason}>{reason}</li>
      ))}
    </ul>
  )
}

function reasons(why: WhyVisit, crewName: (id: string) => string, t: Texts): string[] {
  const { window, offBestDays, likelihood, neighbours, slackMin, others } = why
  const off = Math.abs(offBestDays)
  const days = t('rounds.whyVisit.bestDay', {
    off,
    off2: off === 1 ? 'day' : 'days',
    offBestDays: offBestDays > 0 ? 'after' : 'before',
    best: t.dayMonth(window.best),
  })
  const otherPlaces = () => {
    if (why.locked) return t('rounds.whyVisit.promisedCustomerPlansLeave')
    if (others.length === 0) return t('rounds.whyVisit.noOtherDayWithin')
    return t('rounds.whyVisit.cheapestOtherPlaces', {
      map: others.map((o) => `${crewName(o.crew)}, ${t.shortDate(o.day)} (${priceWords(o.costMin, t)})`).join('; '),
    })
  }
  return [
    t('rounds.whyVisit.window', {
      earliest: t.dayMonth(window.earliest),
      latest: t.dayMonth(window.latest),
      off: off === 0 ? t('rounds.whyVisit.bestDay2') : days,
    }),
    ...(likelihood === null
      ? []
      : [t('rounds.whyVisit.conditionsHoldDay100', { likelihood: Math.round(likelihood * 100) })]),
    t('rounds.whyVisit.crewsSkillsKitTanks', {
      count: why.ableCrews.length === 0 ? 'none' : why.ableCrews.map(crewName).join(', '),
    }),
    t('rounds.whyVisit.addsDrivingSDay', {
      detourMin: duration(why.detourMin),
      crewId: crewName(why.crewId),
      count:
        neighbours.length === 0
          ? ''
          : t('rounds.whyVisit.near', {
              map: neighbours
                .map((n) => `${why.sites[n.visit] ?? t('rounds.whyVisit.anotherStop')} (${duration(n.travelMin)})`)
                .join(', '),
            }),
    }),
    slackMin >= 0
      ? t('rounds.whyVisit.couldBeginUpLater', { slackMin: duration(slackMin) })
      : t('rounds.whyVisit.dayTooFullStands', { slackMin: duration(-slackMin) }),
    otherPlaces(),
  ]
}

const priceWords = (costMin: number, t: Texts): string => {
  if (Math.abs(costMin) < 1) return t('rounds.whyVisit.costsNothing')
  if (costMin > 0) return t('rounds.whyVisit.costs', { costMin: duration(costMin) })
  return t('rounds.whyVisit.saves', { costMin: duration(-costMin) })
}
