import { clearlyBetter, pairedCount } from '../../core/ecosystem/measures'
import { type Texts } from '../texts'

/** Points nearer than this are level. */
const LEVEL_POINTS = 2

/**
 * Whether it was judgement: the season played against the same choices in other years, and these against the house in
 * each of them.
 * @param yours points by year, as `house`
 */
export function luckWords(points: number, yours: readonly number[], house: readonly number[], t: Texts): string {
  const years = yours.length
  const own = pairedCount(
    yours,
    yours.map(() => points),
    LEVEL_POINTS,
  )
  const against = pairedCount(house, yours, LEVEL_POINTS)
  const luckOf = () => {
    if (clearlyBetter(own) === 'second')
      return t('trainer.trainerWords.yearKindSameChoices', { count: own.secondBetter, years })
    if (clearlyBetter(own) === 'first')
      return t('trainer.trainerWords.yearUnkindSameChoices', { count: own.firstBetter, years })
    return t('trainer.trainerWords.hardlyLuckOtherYears', { better: own.firstBetter, worse: own.secondBetter, years })
  }
  const againstHouse = () => {
    const counts = { ahead: against.secondBetter, behind: against.firstBetter, level: against.same, years }
    if (clearlyBetter(against) === 'second') return t('trainer.trainerWords.youDoBetterThan', counts)
    if (clearlyBetter(against) === 'first') return t('trainer.trainerWords.housesWayDoesBetter', counts)
    return t('trainer.trainerWords.youDoAboutWell', counts)
  }
  return `${luckOf()} ${againstHouse()} ${t('trainer.trainerWords.houseReacts')}`
}
