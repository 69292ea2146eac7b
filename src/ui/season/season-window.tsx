'use client'
import OverlayTrigger from 'react-bootstrap/OverlayTrigger'
import Popover from 'react-bootstrap/Popover'
import { addDays } from '@/core/numeric/calendar'
import type { WindowJob } from '@/core/season/house-rules'
import { whyThen } from '@/messages/season/windows'
import type { PondWindowsData } from '@/server/season/pond-windows'
import type { SeasonRow } from '@/server/season/season-view'
import { useServerData } from '@/ui/kit/server-data'
import { useTexts } from '@/ui/kit/texts'
import { useShow } from '@/ui/person-context'
import { percentAt, type TimeAxis } from './time-axis'

interface SeasonWindowProps {
  readonly row: Pick<SeasonRow, 'id' | 'siteName'>
  readonly job: WindowJob
  readonly window: NonNullable<SeasonRow['window']>
  readonly axis: TimeAxis
}

const MIN_WIDTH_PERCENT = 0.6
const HOVER_DELAY = { show: 250, hide: 50 }

/** A visit type's window on a ribbon; looked at by pointer or keys it says why it lies there. */
export function SeasonWindow({ row, job, window, axis }: SeasonWindowProps) {
  const t = useTexts()

  const left = percentAt(axis, window.earliest)
  const right = percentAt(axis, addDays(window.latest, 1))
  const words = t('season.seasonRibbon.best', {
    jobLabel: t(`season.jobNames.${job}`),
    earliest: t.shortDate(window.earliest),
    latest: t.shortDate(window.latest),
    best: t.shortDate(window.best),
  })
  return (
    <>
      <OverlayTrigger
        trigger={['hover', 'focus']}
        delay={HOVER_DELAY}
        placement="auto"
        overlay={
          <Popover id={`why-${row.id}-${job}`} className="season-why">
            <Popover.Body>
              <strong>{words}</strong>
              <WhyWindow pondId={row.id} job={job} year={axis.year} />
            </Popover.Body>
          </Popover>
        }
      >
        <button
          type="button"
          className="season-window"
          style={{ left: `${left}%`, width: `${Math.max(MIN_WIDTH_PERCENT, right - left)}%` }}
          aria-label={`${row.siteName}: ${words}`}
        />
      </OverlayTrigger>
      <span className="season-best" style={{ left: `${percentAt(axis, window.best)}%` }} />
    </>
  )
}

/** Asked for when it is wanted: hundreds of ponds need no reasons that nobody looks at. */
function WhyWindow({ pondId, job, year }: { pondId: string; job: WindowJob; year: number }) {
  const t = useTexts()

  const show = useShow()
  const { value, problem } = useServerData<PondWindowsData>(windowsPath(pondId, year))
  if (problem) return <p className="mb-0">{problem.title}</p>
  const window = value?.windows.find((w) => w.job === job)
  if (!value || !window) return <p className="mb-0 soft">{t('season.seasonRibbon.lookingUp')}</p>
  return <p className="mb-0">{whyThen(window, value.rules, value.weatherYears, (c) => show(c, 'temperature'), t)}</p>
}

export const windowsPath = (pondId: string, year: number): string => `/api/v1/ponds/${pondId}/windows?year=${year}`
