import { type Texts } from '../texts'

/** Whether it was judgement: the player's middle of other years against the season played, and against the house. */
export function luckWords(points: number, middle: number, house: number, t: Texts): string {
  const luckOf = () => {
    if (points > middle + 8) return t('trainer.trainerWords.yearKindSameChoices')
    if (points < middle - 8) return t('trainer.trainerWords.yearUnkindSameChoices')
    return t('trainer.trainerWords.hardlyLuckOtherYears')
  }
  const luck = luckOf()
  const againstHouse = () => {
    if (middle >= house + 2) return t('trainer.trainerWords.youDoBetterThan')
    if (middle >= house - 5) return t('trainer.trainerWords.youDoAboutWell')
    return t('trainer.trainerWords.housesWayDoesBetter')
  }
  const against = againstHouse()
  return `${luck} ${against}`
}
