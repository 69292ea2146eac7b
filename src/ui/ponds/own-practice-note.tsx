'use client'
import { useTexts } from '@/ui/kit/texts'
import { PRACTICE_KEYS, type OwnPractice } from '@/domain/house-rules/house-rules'
import { PRACTICE_LABELS } from '@/ui/house-rules/switches'

/** Where this pond goes another way than the house, and why. */
export function OwnPracticeNote({ own }: { own: OwnPractice }) {
  const t = useTexts()

  const differing = PRACTICE_KEYS.filter((key) => own[key])
  if (differing.length === 0) return null
  return (
    <p className="mb-1">
      {t('ponds.ownPracticeNote.anotherWayThanHouse')} {differing.map((key) => `${t(PRACTICE_LABELS[key])} (${own[key]!.reason})`).join('; ')}.
    </p>
  )
}
