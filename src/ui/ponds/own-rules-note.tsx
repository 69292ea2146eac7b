'use client'
import { useTexts } from '@/ui/kit/texts'
import { HOUSE_CONSTANTS } from '@/core/filter/house-constants'
import type { OwnConstants } from '@/domain/house-rules/house-constants'
import { constantName } from '@/messages/house-rules/constant-words'
import { RULE_KEYS, type OwnRules } from '@/domain/house-rules/house-rules'
import { RULE_LABELS } from '@/ui/house-rules/switches'

/** Where this pond goes another way than the house, and why. */
export function OwnRulesNote({ own, constants }: { own: OwnRules; constants: OwnConstants }) {
  const t = useTexts()

  const differing = RULE_KEYS.filter((key) => own[key])
  const figures = HOUSE_CONSTANTS.filter(({ key }) => constants[key])
  if (differing.length + figures.length === 0) return null
  return (
    <p className="mb-1">
      {t('ponds.ownRulesNote.anotherWayThanHouse')}{' '}
      {[
        ...differing.map((key) => `${t(RULE_LABELS[key])} (${own[key]!.reason})`),
        ...figures.map((of) => `${constantName(of, t)} (${constants[of.key]!.reason})`),
      ].join('; ')}
      .
    </p>
  )
}
