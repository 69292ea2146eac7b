import type { QuantityKind } from '@/core/units/kinds'
import type { QuantityProblem } from '@/core/units/parse'
import type { Texts } from '@/messages/texts'

/** What is wrong with a typed quantity and how to mend it, in a sentence. */
export function quantityProblemWords(problem: QuantityProblem, kind: QuantityKind, t: Texts): string {
  const wanted = { noun: t(`kit.quantityNouns.${kind}`), example: t(`kit.quantityExamples.${kind}`) }
  switch (problem.code) {
    case 'empty':
      return t('kit.quantityProblems.empty', wanted)
    case 'not-a-number':
      return t('kit.quantityProblems.not-a-number', { ...wanted, text: problem.text })
    case 'unknown-unit':
      return t('kit.quantityProblems.unknown-unit', { ...wanted, unit: problem.unit })
    case 'other-kind':
      return t('kit.quantityProblems.other-kind', {
        ...wanted,
        unit: problem.unit,
        found: t(`kit.quantityNouns.${problem.foundKind}`),
      })
  }
}
