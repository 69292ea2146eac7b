'use client'
import { houseConstant } from '@/core/filter/house-constants'
import type { ChangedConstant } from '@/domain/house-rules/house-constants'
import { constantName, constantValue } from '@/messages/house-rules/constant-words'
import { useTexts } from '@/ui/kit/texts'
import { usePerson } from '@/ui/person-context'

/** Figures that a design is worked out by and that are not the usual ones, each with its reason and source. */
export function ChangedConstants({ changed }: { changed: readonly ChangedConstant[] }) {
  const t = useTexts()
  const { units } = usePerson().preferences
  return changed.map(({ key, value, reason, source, by }) => {
    const of = houseConstant(key)!
    return (
      <li key={key}>
        {t('houseRules.constants.ownFigure', {
          name: constantName(of, t),
          value: constantValue(of, value, units, t),
          usual: constantValue(of, of.usual, units, t),
          by: t(by === 'pond' ? 'houseRules.constants.byPond' : 'houseRules.constants.byHouse'),
          reason,
          source,
        })}
      </li>
    )
  })
}
