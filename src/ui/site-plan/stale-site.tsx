'use client'
import { useTexts } from '@/ui/kit/texts'
import { SITE_OBJECT_KINDS, objectsOf, type SiteSurvey } from '@/core/site-plan/site-survey'
import { KeepOrTake } from '@/ui/ponds/stale-save'
import { SITE_OBJECT_NAMES } from '@/messages/drawing/sheet-words'

interface StaleSiteProps {
  readonly mine: SiteSurvey
  readonly theirs: SiteSurvey
  readonly onKeepMine: () => void
  readonly onTakeTheirs: () => void
}

/** Both site surveys by what they hold, after someone else saved first. */
export function StaleSite({ mine, theirs, onKeepMine, onTakeTheirs }: StaleSiteProps) {
  const t = useTexts()
  const differing = SITE_OBJECT_KINDS.filter(
    (kind) => JSON.stringify(objectsOf(mine, kind)) !== JSON.stringify(objectsOf(theirs, kind)),
  )
  return (
    <section className="alert alert-warning mt-3" role="alert">
      <p className="mb-2">{t('ponds.staleSave.someoneElseSavedPond')}</p>
      <ul className="mb-2">
        {differing.map((kind) => (
          <li key={kind}>
            {t('sitePlan.survey.differs', {
              kind: t(SITE_OBJECT_NAMES[kind]),
              mine: objectsOf(mine, kind).length,
              theirs: objectsOf(theirs, kind).length,
            })}
          </li>
        ))}
      </ul>
      <KeepOrTake onKeepMine={onKeepMine} onTakeTheirs={onTakeTheirs} />
    </section>
  )
}
