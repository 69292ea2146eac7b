import { en } from '../en'
import type { Catalogue, Texts } from '../texts'
import type { JobWindow } from '@/core/season/job-window'
import { dayMonth } from '@/domain/shared/dates'
import type { HouseRules } from '@/domain/house-rules/house-rules'
import { seasonRulesOf } from '@/domain/house-rules/house-rules'

type ShowTemp = (tempC: number) => string

/** What can still be done where a window was missed; '' where nothing is lost. */
export const missedAdvice = (job: string, t: Texts): string =>
  job in en.season.missedAdvice ? t(`season.missedAdvice.${job as keyof Catalogue['season']['missedAdvice']}`) : ''

/** Why a window lies where it does, in words with this pond's numbers. */
export function whyThen(
  window: Omit<JobWindow, 'likelihood'>,
  rules: HouseRules,
  years: number,
  temp: ShowTemp,
  t: Texts,
): string {
  const rule = seasonRulesOf(rules)
  const best = dayMonth(window.best)
  const span = t('season.windows.to', { earliest: dayMonth(window.earliest), latest: dayMonth(window.latest) })
  const share = t('season.windows.aroundHoldsLikelyYears', {
    best,
    likelihood: Math.round(window.why.likelihood * years),
    years,
  })
  const turn = t('season.windows.halfLikelyYearsMost', { years, best, span })
  const water = t('season.windows.waterThenAbout', { waterC: temp(window.why.waterC) })
  switch (window.job) {
    case 'spring-cleanout':
      return t('season.windows.iceOutWaterBetween', {
        cleanoutwaterc: temp(rule.cleanoutWaterC[0]),
        cleanoutwaterc2: temp(rule.cleanoutWaterC[1]),
        hardFrostAirC: temp(rule.hardFrostAirC),
        share,
        water,
      })
    case 'cold-bacteria':
      return t('season.windows.afterIceAboveWhile', {
        coldBacteriaFromC: temp(rule.coldBacteriaFromC),
        bacteriaWaterC: temp(rule.bacteriaWaterC),
        share,
        water,
      })
    case 'bacteria':
      return t('season.windows.threeDayMeanWater', { bacteriaWaterC: temp(rule.bacteriaWaterC), turn })
    case 'spring-startup':
      return t('season.windows.waterMoreFiveDays', { startupWaterC: temp(rule.startupWaterC), turn })
    case 'dividing':
      return t('season.windows.waterMoreGrowthOnly', { startupWaterC: temp(rule.startupWaterC), share, water })
    case 'feeding-start':
      return t('season.windows.threeDayMeanWater2', { feedingStartWaterC: temp(rule.feedingStartWaterC), turn })
    case 'feeding-normal':
      return t('season.windows.threeDayMeanWater3', { feedingNormalWaterC: temp(rule.feedingNormalWaterC), turn })
    case 'wetland-flush':
      return t('season.windows.waterMoreWeekSo', {
        flushWaterC: temp(rule.flushWaterC),
        spawningwaterc: temp(rule.spawningWaterC[0]),
        spawningwaterc2: temp(rule.spawningWaterC[1]),
        share,
      })
    case 'tender-planting':
      return t('season.windows.lastFrostPastWater', { tenderPlantsWaterC: temp(rule.tenderPlantsWaterC), turn })
    case 'high-summer':
      return t('season.windows.waterMoreOxygenShort', { highSummerWaterC: temp(rule.highSummerWaterC), share })
    case 'netting':
      return t('season.windows.netsGoDaysBefore', {
        nettingleaddays: rule.nettingLeadDays[0],
        nettingleaddays2: rule.nettingLeadDays[1],
        share,
      })
    case 'netting-off':
      return t('season.windows.daysAfterMainLeaf', {
        nettingoffdays: rule.nettingOffDays[0],
        nettingoffdays2: rule.nettingOffDays[1],
        share,
      })
    case 'shade-down':
      return t('season.windows.weeksMeanWaterFalls', { shadeDownWaterC: temp(rule.shadeDownWaterC), turn })
    case 'feeding-stop':
      return t('season.windows.threeDayMeanWater4', { feedingStopWaterC: temp(rule.feedingStopWaterC), turn })
    case 'cut-back':
      return t('season.windows.afterFirstFrostColder', { killingFrostAirC: temp(rule.killingFrostAirC), turn })
    case 'winter-shutdown':
      return t('season.windows.waterBelowFallingNo', {
        shutdownWaterC: temp(rule.shutdownWaterC),
        hardFrostAirC: temp(rule.hardFrostAirC),
        share,
        water,
      })
    case 'deicer-on':
      return t('season.windows.daysBeforeFirstIce', {
        deicerleaddays: rule.deicerLeadDays[0],
        deicerleaddays2: rule.deicerLeadDays[1],
        share,
      })
    case 'winter-running':
      return t('season.windows.fromFirstIceRunning', { turn })
  }
}
