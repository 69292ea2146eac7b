'use client'
import type { CrewSetup } from '@/domain/people/crew-setup'
import { dayLoad, type DayRound } from '@/domain/rounds/day-load'
import { duration } from '@/domain/shared/dates'
import { useTexts } from '@/ui/kit/texts'

/** How full a crew's day is: work, driving, and what goes beyond its hours. */
export function LoadNote({ round, setup }: { round: DayRound; setup: CrewSetup }) {
  const t = useTexts()

  const load = dayLoad(round.stops, round.ways, setup)
  if (!load) return null
  return (
    <span className="load-note">
      {t('rounds.load.work', { work: duration(load.onSiteMin) })}
      {load.drivesUnknown
        ? t('rounds.load.drivingPartly', { driving: duration(load.drivingMin) })
        : t('rounds.load.driving', { driving: duration(load.drivingMin) })}
      {load.overMin > 0 ? (
        <>
          {' '}
          <span className="verdict look">{t('rounds.load.over', { over: duration(load.overMin) })}</span>
        </>
      ) : null}
    </span>
  )
}
