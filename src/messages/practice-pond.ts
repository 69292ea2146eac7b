import { type Texts } from './texts'

/** Whether it was judgement: the player's middle of other years against the season played, and against the house. */
export function luckWords(points: number, middle: number, house: number, t: Texts): string {
  const luck =
    points > middle + 8
      ? t('trainer.practicePond.yearKindSameChoices')
      : points < middle - 8
        ? t('trainer.practicePond.yearUnkindSameChoices')
        : t('trainer.practicePond.hardlyLuckOtherYears')
  const against =
    middle >= house + 2
      ? t('trainer.practicePond.youDoBetterThan')
      : middle >= house - 5
        ? t('trainer.practicePond.youDoAboutWell')
        : t('trainer.practicePond.housesWayDoesBetter')
  return `${luck} ${against}`
}
