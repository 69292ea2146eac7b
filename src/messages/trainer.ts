import { type Texts } from './texts'

/** Whether it was judgement: the player's middle of other years against the season played, and against the house. */
export function luckWords(points: number, middle: number, house: number, t: Texts): string {
  const luck =
    points > middle + 8
      ? t('trainer.trainerWords.yearKindSameChoices')
      : points < middle - 8
        ? t('trainer.trainerWords.yearUnkindSameChoices')
        : t('trainer.trainerWords.hardlyLuckOtherYears')
  const against =
    middle >= house + 2
      ? t('trainer.trainerWords.youDoBetterThan')
      : middle >= house - 5
        ? t('trainer.trainerWords.youDoAboutWell')
        : t('trainer.trainerWords.housesWayDoesBetter')
  return `${luck} ${against}`
}
