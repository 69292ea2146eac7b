'use client'
import { useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { clockAfter } from '@/domain/schedule/clash'
import type { MapPageData } from '@/server/rounds/rounds'
import { CheckField } from '@/ui/kit/check-field'
import type { lineOf } from './region-drawing'

interface RoundSheetProps {
  readonly round: MapPageData['rounds'][number]
  readonly day: string
  readonly line: ReturnType<typeof lineOf>
  readonly shown: boolean
  readonly onShow: (on: boolean) => void
}

/** A crew's stops of the day, and whether its round stands on the map. */
export function RoundSheet({ round, day, line, shown, onShow }: RoundSheetProps) {
  const t = useTexts()
  return (
    <section className="sheet">
      <div className="d-flex justify-content-between align-items-baseline gap-2">
        <h2 className="mb-1">
          <svg width="34" height="8" aria-hidden="true">
            <path d="M0 4H34" stroke={line.colour} strokeWidth="4" strokeDasharray={line.dash} />
          </svg>{' '}
          {round.crew.name}
        </h2>
        <CheckField label={t('map.mapView.map2')} checked={shown} onChange={onShow} />
      </div>
      <ol className="mb-1">
        {round.stops.map((stop) => (
          <li key={stop.id}>
            {stop.startTime}–{clockAfter(stop.startTime, stop.plannedMinutes)} {stop.siteName}{' '}
            <span className="soft">{stop.jobName}</span>
          </li>
        ))}
      </ol>
      <Link href={`/rounds/${round.crew.id}/${day}`}>{t('map.mapView.daySheet')}</Link>
    </section>
  )
}
