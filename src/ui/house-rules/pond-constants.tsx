'use client'
import type { OwnConstants } from '@/domain/house-rules/house-constants'
import { may } from '@/domain/people/roles'
import type { PondInContext } from '@/domain/ponds/pond'
import { useTexts } from '@/ui/kit/texts'
import { Unfold } from '@/ui/kit/unfold'
import { usePerson } from '@/ui/person-context'
import { ConstantsForm } from './constants-form'

interface PondConstantsProps {
  readonly pond: PondInContext
  readonly house: OwnConstants
  readonly version: number
  readonly onSaved: () => void
}

/** Figures that this pond's filter is worked out by in place of the house's. */
export function PondConstants({ pond, house, version, onSaved }: PondConstantsProps) {
  const t = useTexts()
  const locked = !may(usePerson().role, 'designs.write')
  const count = Object.keys(pond.ownConstants).length
  const form = (
    <ConstantsForm
      own={pond.ownConstants}
      house={house}
      version={version}
      onSaved={onSaved}
      url={`/api/v1/ponds/${pond.id}/constants`}
      locked={locked}
    />
  )
  return (
    <section className="mt-4" aria-label={t('houseRules.constants.title')}>
      <h2>{t('houseRules.constants.title')}</h2>
      <p className="soft">{t(locked ? 'houseRules.constants.pondLocked' : 'houseRules.constants.pondIntro')}</p>
      {count > 0 ? form : <Unfold label={t('houseRules.constants.show')}>{form}</Unfold>}
    </section>
  )
}
