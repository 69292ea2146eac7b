'use client'
import type { Judged } from '@/domain/rounds/board-moves'
import { moveProblemWords } from '@/messages/schedule/planning'
import { useTexts, type Texts } from '@/ui/kit/texts'

/** How a cell is outlined while a visit hangs over it. */
export const dropClass = (judged: Judged | null): string => {
  if (!judged) return ''
  return judged.problems.length === 0 ? 'fits' : 'breaks'
}

/** What the visit that hangs over a crew's day would break there, and what it costs. */
export function DropVerdict({ judged, siteOf }: { judged: Judged | null; siteOf: (visitId: string) => string }) {
  const t = useTexts()

  if (!judged) return null
  return (
    <span className="small d-block">
      {judged.problems.length === 0
        ? t('rounds.dayCell.fits', { costMin: cost(judged.costMin, t) })
        : t('rounds.dayCell.breaks', {
            map: judged.problems.map((p) => moveProblemWords(p, siteOf, t)).join('; '),
          })}
    </span>
  )
}

const cost = (minutes: number, t: Texts): string => {
  if (Math.abs(minutes) < 1) return t('rounds.dayCell.costsNothing')
  if (minutes > 0) return t('rounds.dayCell.costsMuchMinRoad', { minutes: Math.round(minutes) })
  return t('rounds.dayCell.savesMuchMinRoad', { minutes: Math.round(-minutes) })
}
