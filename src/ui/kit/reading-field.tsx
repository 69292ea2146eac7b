'use client'
import { useTexts } from '@/ui/kit/texts'
import { parseQuantity } from '@/core/units/parse'
import { saysBelow, specialReading, withoutBelow } from '@/core/water/reading-text'
import type { ReadingKindName } from '@/core/water/readings'
import { readingQuantity, readingScale } from '@/domain/water/reading-names'
import { usePerson } from '@/ui/person-context'
import { QuantityField } from './quantity-field'

interface ReadingFieldProps {
  readonly kind: ReadingKindName
  readonly value: number | null
  /** @param belowStep the test saw nothing: "<0.25", "none" */
  readonly onChange: (value: number | null, belowStep: boolean) => void
  /** Depth of the pond's deepest water, m: what "bottom" means. */
  readonly deepestM: number | null
  readonly error?: string
  readonly optional?: boolean
  readonly large?: boolean
}

/** A field for a test: a number with its unit, or what a test says otherwise: "<0.25", "none", "4 drops", "bottom". */
export function ReadingField({ kind, value, onChange, deepestM, error, optional, large }: ReadingFieldProps) {
  const t = useTexts()

  const { units } = usePerson().preferences
  const special = (text: string): number | null => {
    const said = specialReading(text, kind, deepestM)
    if (!said) return null
    // behind "less than" stands a value of its own: "<lots" is nothing
    if (saysBelow(text) && !parseQuantity(withoutBelow(text), readingQuantity(kind), units, readingScale(kind)).ok)
      return null
    return said.value
  }
  return (
    <QuantityField
      large={large}
      label={t(`water.readingNames.${kind}`)}
      optional={optional}
      kind={readingQuantity(kind)}
      scale={readingScale(kind)}
      value={value}
      special={special}
      onChange={(v, text) => onChange(v, specialReading(text, kind, deepestM)?.belowStep ?? false)}
      error={error}
    />
  )
}
