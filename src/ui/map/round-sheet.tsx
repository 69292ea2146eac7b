'use client'
import Link from 'next/link'
import { clockAfter } from '@/domain/schedule/clash'
import type { MapPageData } from '@/server/rounds/map-page'
import { useTexts } from '@/ui/kit/texts'
import type { RoundLine } from './round-line'

interface RoundSheetProps {
  readonly round: MapPageData['rounds'][number]
  readonly day: string
  readonly line: RoundLine
  readonly shown: boolean
  readonly onShow: (on: boolean) => void
}

/** A crew's stops of the day, and whether its round stands on the map. */
export function RoundSheet({ round, day, line, shown, onShow }: RoundSheetProps) {
  const t = useTexts()

  return (
    <section className="sheet round-sheet">
      <div className="d-flex align-items-baseline gap-2">
        <input
          type="checkbox"
          className="form-check-input"
          checked={shown}
          aria-label={t('map.mapView.showRound', { crew: round.crew.name })}
          onChange={(e) => onShow(e.target.checked)}
        />
        <svg width="34" height="8" aria-hidden="true" className="align-self-center">
          <path d="M0 4H34" style={{ stroke: line.colour }} strokeWidth="4" strokeDasharray={line.dash} />
        </svg>
        <h2 className="me-auto">{round.crew.name}</h2>
        <Link href={`/rounds/${round.crew.id}/${day}`}>{t('map.mapView.daySheet')}</Link>
      </div>
      <ol>
        {round.stops.map((stop) => (
          <li key={stop.id}>
            <span className="numbers">
              {stop.startTime}–{clockAfter(stop.startTime, stop.plannedMinutes)}
            </span>{' '}
            <Link href={`/ponds/${stop.pondId}`}>{stop.siteName}</Link> <span className="soft">{stop.jobName}</span>
          </li>
        ))}
      </ol>
    </section>
  )
}
