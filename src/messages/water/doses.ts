import { type Texts } from '../texts'
import type { DoseProblem } from '@/core/water/dosing/products'
import type { QuantityKind } from '@/core/units/kinds'

const figure = (value: number): string => String(Number(value.toPrecision(3)))

/** What speaks against a dose now. */
export function doseProblemWords(
  problem: DoseProblem,
  show: (value: number, kind: QuantityKind) => string,
  t: Texts,
): string {
  switch (problem.code) {
    case 'over-label':
      return t('water.doses.overLabelMostPer', { mostPerM3: figure(problem.mostPerM3) })
    case 'over-label-of-least':
      return t('water.doses.overLabelOfLeast', {
        leastM3: show(problem.leastM3, 'volume'),
        mostPerM3: figure(problem.mostPerM3),
      })
    case 'too-cold':
      return t('water.doses.waterWorksFrom', {
        waterC: show(problem.waterC, 'temperature'),
        fromC: show(problem.fromC, 'temperature'),
      })
    case 'too-warm':
      return t('water.doses.waterUp', {
        waterC: show(problem.waterC, 'temperature'),
        toC: show(problem.toC, 'temperature'),
      })
    case 'too-close':
      return t('water.doses.givenHAgoWait', {
        value: t(`stores.purposeNames.${problem.purpose}`),
        hoursAgo: figure(problem.hoursAgo),
        hours: figure(problem.hours),
      })
    case 'too-soon':
      return t('water.doses.givenHAgoLabel', { hoursAgo: figure(problem.hoursAgo), hours: figure(problem.hours) })
    case 'course-over':
      return t('water.doses.givenTimesDaysLabels', { times: figure(problem.times), days: figure(problem.days) })
    case 'licence':
      return t('water.doses.onlyLicensedApplicatorWhere')
  }
}
