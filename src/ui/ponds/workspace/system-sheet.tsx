'use client'
import Link from 'next/link'
import { systemSection } from '@/core/drawing/system-section'
import { daysBetween } from '@/core/numeric/calendar'
import type { Design } from '@/domain/design/design'
import { isStanding, standingDesign } from '@/domain/design/design'
import { standingBed } from '@/domain/ponds/system-volume'
import type { savedPondFacts } from '@/domain/ponds/pond-facts'
import type { PondOverviewData } from '@/server/ponds/pond-pages'
import { WaterLegend } from '@/ui/drawing/water-legend'
import { Icon } from '@/ui/kit/icon'
import { useTexts } from '@/ui/kit/texts'
import { useShow } from '@/ui/person-context'
import { SystemDrawing } from './system-drawing'

interface SystemSheetProps {
  readonly data: PondOverviewData
  readonly facts: ReturnType<typeof savedPondFacts>
  readonly today: string
  readonly water: {
    readonly waterC: number | undefined
    readonly isMeasured: boolean
    readonly band: { readonly p10: number; readonly p90: number } | undefined
  }
  readonly iceChance: number
}

/** One drawing of the whole system as it is today, and what has to be said of its parts. */
export function SystemSheet({ data, facts, today, water, iceChance }: SystemSheetProps) {
  const t = useTexts()

  const show = useShow()
  const { pond, designs, plants, forecast } = data
  const design = standingDesign(designs)
  const bed = standingBed(designs) ?? design?.bed ?? null
  const levelMm = forecast ? forecast.outlook.bands.levelMm.p50[daysBetween(forecast.outlook.from, today)] : undefined
  const section = systemSection({
    basin: facts.basin,
    design: bed,
    dropM: -(levelMm ?? 0) / 1000,
    plants: plants.filter((p) => p.count > 0 && !p.stored),
  })
  const base = `/ponds/${pond.id}`
  return (
    <section className="sheet" aria-label={t('ponds.overview.systemToday')}>
      {section ? (
        <div className="wide-drawing">
          <SystemDrawing
            section={section}
            waterC={water.waterC ?? null}
            iceChance={iceChance}
            href={{
              pond: `${base}/water`,
              filter: `${base}/design`,
              equipment: `${base}/equipment`,
              plants: `${base}/plants`,
            }}
            labels={{
              pond: t('ponds.overview.pondHolds', { volume: show(facts.adopted.volumeM3, 'volume') }),
              filter: bed && design ? filterName(design, bed.type, t, show) : null,
              pump: design
                ? t('ponds.overview.pumpFlow', {
                    built: isStanding(design) ? 'yes' : 'no',
                    flow: show(design.flowM3PerH, 'flow'),
                  })
                : null,
            }}
          />
        </div>
      ) : null}
      <div className="d-flex flex-wrap justify-content-between align-items-baseline gap-2 mt-1">
        <WaterToday {...water} />
        <Level levelMm={levelMm} />
        <WaterLegend />
      </div>
      <PartsDue data={data} today={today} />
      {design ? null : (
        <p className="mb-0 mt-2">
          {t('ponds.overview.noFilterYet')}{' '}
          <Link className="btn btn-sm btn-outline-primary" href={`${base}/design`}>
            <Icon name="layers" /> {t('ponds.overview.designFilter')}
          </Link>
        </p>
      )}
    </section>
  )
}

function filterName(
  design: Design,
  type: Design['bed']['type'],
  t: ReturnType<typeof useTexts>,
  show: ReturnType<typeof useShow>,
): string {
  const name = t(`design.filterTypeNames.${type}`)
  const area = show(design.areaM2, 'area')
  return isStanding(design)
    ? t('ponds.overview.filterBuilt', { name, area })
    : t('ponds.overview.filterDrawn', { name, area, number: design.number })
}

/** Water temperature, measured or expected. */
function WaterToday({ waterC, isMeasured, band }: SystemSheetProps['water']) {
  const t = useTexts()

  const show = useShow()
  if (waterC === undefined) return <span className="soft">{t('ponds.pondView.waterTemperatureNotKnown')}</span>
  return (
    <span>
      {t('ponds.pondView.waterToday', { isMeasured: isMeasured ? 'measured' : 'expected' })}{' '}
      <strong>{show(waterC, 'temperature')}</strong>
      {band && !isMeasured ? (
        <span className="soft">
          {' '}
          {t('ponds.pondView.n810Years', { p10: show(band.p10, 'temperature'), p90: show(band.p90, 'temperature') })}
        </span>
      ) : null}
    </span>
  )
}

/** A drop of less than this does not show on a drawing. */
const WORTH_DRAWING_MM = 5

/** How far the water stands below full; without a forecast the drawing shows it full, and says so. */
function Level({ levelMm }: { levelMm: number | undefined }) {
  const t = useTexts()

  const show = useShow()
  if (levelMm === undefined) return <span className="soft">{t('ponds.overview.drawnFull')}</span>
  if (levelMm > -WORTH_DRAWING_MM) return <span>{t('ponds.overview.full')}</span>
  return <span>{t('ponds.overview.below', { drop: show(-levelMm / 1000, 'length', { scale: 'small' }) })}</span>
}

/** Equipment that is overdue or due within a month: the alarms of the drawing, in words. */
function PartsDue({ data: { equipment, pond }, today }: { data: PondOverviewData; today: string }) {
  const t = useTexts()

  const due = equipment
    .filter((piece) => !piece.retired && daysBetween(today, piece.due) <= SOON_DAYS)
    .sort((a, b) => a.due.localeCompare(b.due))
  if (due.length === 0) return null
  return (
    <ul className="plain-list mt-2">
      {due.map((piece) => (
        <li key={piece.id}>
          <span className={`verdict ${piece.due < today ? 'act' : 'watch'}`}>
            {t(piece.due < today ? 'ponds.overview.overdue' : 'ponds.overview.dueSoon')}
          </span>{' '}
          <Link href={`/ponds/${pond.id}/equipment`}>{piece.name}</Link>{' '}
          <span className="soft">
            {t(`equipment.kindNames.${piece.kind}`)}, {t.datedDay(piece.due)}
          </span>
        </li>
      ))}
    </ul>
  )
}

const SOON_DAYS = 30
