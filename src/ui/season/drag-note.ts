import type { Texts } from '@/ui/kit/texts'
import { moveProblemWords } from '@/messages/schedule/planning'
import { verdictOf, type VisitDrag } from './use-visit-drag'

/** What the day under a carried visit would break; empty where nothing. */
export function moveWords(drag: VisitDrag, t: Texts): string {
  const verdict = verdictOf(drag)
  if (!verdict || !('verdicts' in drag)) return ''
  return verdict.problems
    .map((p) => moveProblemWords(p, (id) => drag.verdicts.sites[id] ?? t('season.seasonView.anotherSite'), t))
    .join('; ')
}

/** The line that follows a carried visit: its day, what that would break, what it would cost. */
export function dragNote(drag: VisitDrag, t: Texts): string {
  if (drag.state === 'idle') return ''
  if (drag.state === 'asking') return t('season.seasonView.lookingDaysAround')
  const verdict = verdictOf(drag)
  const day = t.longDate(drag.day)
  if (!verdict) return t('season.seasonView.tooFarPast', { day })
  const cost = costWords(verdict.costMin, t)
  const words = moveWords(drag, t)
  return words ? `${day}: ${words}; ${cost}.` : t('season.seasonView.fits', { day, cost })
}

function costWords(costMin: number, t: Texts): string {
  if (costMin === 0) return t('season.seasonView.costsNothing')
  if (costMin > 0) return t('season.seasonView.costsMin', { costMin })
  return t('season.seasonView.savesMin', { costMin: -costMin })
}
