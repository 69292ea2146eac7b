'use client'
import { useTexts } from '@/ui/kit/texts'
import { RULE_KEYS, type OwnRules } from '@/domain/house-rules/house-rules'
import { RULE_LABELS } from '@/ui/house-rules/switches'

/** Where this pond goes another way than the house, and why. */
export function OwnRulesNote({ own }: { own: OwnRules }) {
  const t = useTexts()

  const differing = RULE_KEYS.filter((key) => own[key])
  if (differing.length === 0) return null
  return (
    <p className="mb-1">
      {t('ponds.ownRulesNote.anotherWayThanHouse')}{' '}
      {differing.map((key) => `${t(RULE_LABELS[key])} (${own[key]!.reason})`).join('; ')}.
    </p>
  )
}
