'use client'
import type { CleanoutQuantities } from '@/core/visits/cleanout-quantities'
import { duration } from '@/domain/shared/dates'
import { formatNumber } from '@/core/units/format'
import type { VisitPlanningData } from '@/server/visits/visit-planning'
import { useTexts } from '@/ui/kit/texts'
import { useShow } from '@/ui/person-context'

/** A factor nearer to one than this changes nothing worth saying. */
const LEARNT_SAID = 0.05

interface VisitEstimateProps {
  readonly crew: VisitPlanningData['crews'][number]
  readonly isCleanout: boolean
  /** Between which it takes in four of five cases; null where only a part of it is asked for. */
  readonly rangeMin: readonly [number, number] | null
  /** How long, from when to when. */
  readonly headed: string
}

/** How long a visit takes a crew, part by part, and what a cleanout moves of water. */
export function VisitEstimate({ crew, isCleanout, rangeMin, headed }: VisitEstimateProps) {
  const t = useTexts()
  const { learntFactor } = crew

  return (
    <div className="sheet stick">
      <h2>{headed}</h2>
      {rangeMin ? (
        <p className="mb-1">
          {t('season.planForm.between', { low: duration(rangeMin[0]), high: duration(rangeMin[1]) })}
        </p>
      ) : null}
      {Math.abs(learntFactor - 1) >= LEARNT_SAID ? (
        <p className="soft small">
          {t('season.planForm.plainEstimateLoggedVisits', {
            totalMinutes: duration(crew.duration.totalMinutes),
            learntFactor: formatNumber(learntFactor),
            some: crew.duration.parts.some((p) => p.by === 'machine' && p.minutes > 0)
              ? t('season.planForm.pumpHoseTakeTime')
              : '',
          })}
        </p>
      ) : null}
      <table className="table table-sm">
        <tbody>
          {crew.duration.parts
            .filter((p) => p.minutes >= 0.5)
            .map((p) => (
              <tr key={p.part}>
                <th scope="row" className="fw-normal">
                  {t(`visits.partNames.${p.part}`)}
                </th>
                <td className="text-end">{duration(p.minutes)}</td>
                <td style={{ width: '45%' }}>
                  <span className="bar-track d-block mt-2" aria-hidden="true">
                    <span
                      style={{
                        width: `${(p.minutes / crew.duration.totalMinutes) * 100}%`,
                        background: p.by === 'machine' ? 'var(--water-line)' : undefined,
                      }}
                    />
                  </span>
                </td>
              </tr>
            ))}
        </tbody>
      </table>
      {isCleanout ? <CleanoutFigures quantities={crew.quantities} /> : null}
    </div>
  )
}

function CleanoutFigures({ quantities }: { quantities: CleanoutQuantities }) {
  const t = useTexts()

  const show = useShow()
  return (
    <>
      <dl className="figures">
        <div>
          <dt>{t('season.planForm.pumpOut')}</dt>
          <dd>{show(quantities.refillM3 + quantities.savedM3, 'volume')}</dd>
        </div>
        <div>
          <dt>{t('season.planForm.refillFromTap')}</dt>
          <dd>{show(quantities.refillM3, 'volume')}</dd>
        </div>
        <div>
          <dt>{t('season.planForm.holdingTank')}</dt>
          <dd>
            {quantities.holding.volumeM3 > 0
              ? show(quantities.holding.volumeM3, 'volume', { scale: 'small' })
              : t('season.planForm.noFish')}
          </dd>
        </div>
      </dl>
      <p className="soft small mb-0 mt-2">{t('season.planForm.greenHandsSharedCrew')}</p>
    </>
  )
}
