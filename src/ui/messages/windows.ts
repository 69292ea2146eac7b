import type { WindowJob } from '@/core/season/practice'
import type { JobWindow } from '@/core/season/windows'
import { dayMonth } from '@/domain/dates'
import type { HousePractice } from '@/domain/practice'
import { seasonPracticeOf } from '@/domain/practice'

export const JOB_NAMES: Readonly<Record<WindowJob, string>> = {
  'spring-cleanout': 'Spring cleanout',
  'spring-startup': 'Spring startup',
  'feeding-start': 'Start feeding',
  netting: 'Netting on',
  'feeding-stop': 'Stop feeding',
  'winter-shutdown': 'Winter shutdown',
}

type ShowTemp = (tempC: number) => string

/** Why a window lies where it does, in words with this pond's numbers. */
export function whyThen(window: JobWindow, practice: HousePractice, years: number, temp: ShowTemp): string {
  const rule = seasonPracticeOf(practice)
  const share = `${Math.round(window.why.likelihood * years)} of ${years} likely years`
  const best = dayMonth(window.best)
  const span = `${dayMonth(window.earliest)} to ${dayMonth(window.latest)}`
  switch (window.job) {
    case 'spring-cleanout':
      return `Ice out, water between ${temp(rule.cleanoutWaterC[0])} and ${temp(rule.cleanoutWaterC[1])}, before leaves open and with no frost below ${temp(rule.hardFrostAirC)}. Around ${best} that holds in ${share}; the water is then about ${temp(window.why.waterC)}.`
    case 'spring-startup':
      return `Water at ${temp(rule.startupWaterC)} or more for five days and nights above freezing for good. In half of ${years} likely years that has come by ${best}; in most it comes between ${span}.`
    case 'feeding-start':
      return `The three-day mean of the water reaches ${temp(rule.feedingStartWaterC)} and stays there. In half of ${years} likely years by ${best}; in most between ${span}. Low-protein feed first.`
    case 'feeding-stop':
      return `The three-day mean of the water falls below ${temp(rule.feedingStopWaterC)} for the winter. In half of ${years} likely years by ${best}; in most between ${span}.`
    case 'netting':
      return `Nets go on ${rule.nettingLeadDays[0]} to ${rule.nettingLeadDays[1]} days before the main leaf fall that day length and autumn warmth bring here. Around ${best} that holds in ${share}.`
    case 'winter-shutdown':
      return `Water below ${temp(rule.shutdownWaterC)} and falling, and no hard freeze below ${temp(rule.hardFrostAirC)} yet. Around ${best} that holds in ${share}; the water is then about ${temp(window.why.waterC)}.`
  }
}
