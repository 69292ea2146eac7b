import type { WindowJob } from '@/core/season/house-rules'
import type { JobWindow } from '@/core/season/windows'
import { dayMonth } from '@/domain/shared/dates'
import type { HousePractice } from '@/domain/house-rules/house-rules'
import { seasonPracticeOf } from '@/domain/house-rules/house-rules'

export const JOB_NAMES: Readonly<Record<WindowJob, string>> = {
  'spring-cleanout': 'Spring cleanout',
  'cold-bacteria': 'Cold-water bacteria',
  'spring-startup': 'Spring startup',
  dividing: 'Divide and repot',
  'feeding-start': 'Start feeding',
  'wetland-flush': 'Wetland flush',
  bacteria: 'Ordinary bacteria',
  'feeding-normal': 'Normal feed',
  'tender-planting': 'Tender plants in',
  'high-summer': 'High-summer watch',
  netting: 'Netting on',
  'shade-down': 'Shade cloth down',
  'feeding-stop': 'Stop feeding',
  'cut-back': 'Autumn cut-back',
  'netting-off': 'Netting off',
  'winter-shutdown': 'Winter shutdown',
  'deicer-on': 'De-icer and aerator on',
  'winter-running': 'Ice watch on running falls',
}

type ShowTemp = (tempC: number) => string

/** Why a window lies where it does, in words with this pond's numbers. */
export function whyThen(window: JobWindow, practice: HousePractice, years: number, temp: ShowTemp): string {
  const rule = seasonPracticeOf(practice)
  const best = dayMonth(window.best)
  const span = `${dayMonth(window.earliest)} to ${dayMonth(window.latest)}`
  const share = `Around ${best} that holds in ${Math.round(window.why.likelihood * years)} of ${years} likely years`
  const turn = `In half of ${years} likely years by ${best}; in most between ${span}.`
  const water = `the water is then about ${temp(window.why.waterC)}`
  switch (window.job) {
    case 'spring-cleanout':
      return `Ice out, water between ${temp(rule.cleanoutWaterC[0])} and ${temp(rule.cleanoutWaterC[1])}, before leaves open and with no frost below ${temp(rule.hardFrostAirC)}. ${share}; ${water}.`
    case 'cold-bacteria':
      return `After the ice and above ${temp(rule.coldBacteriaFromC)}, while the water is still too cold for ordinary strains (below ${temp(rule.bacteriaWaterC)}). ${share}; ${water}.`
    case 'bacteria':
      return `The three-day mean of the water reaches ${temp(rule.bacteriaWaterC)} and stays there. ${turn}`
    case 'spring-startup':
      return `Water at ${temp(rule.startupWaterC)} or more for five days and nights above freezing for good. ${turn} UV on then, and the lamp’s date looked at.`
    case 'dividing':
      return `Water at ${temp(rule.startupWaterC)} or more and growth only just beginning: up to two weeks after the leaves open. ${share}; ${water}.`
    case 'feeding-start':
      return `The three-day mean of the water reaches ${temp(rule.feedingStartWaterC)} and stays there. ${turn} Low-protein feed first.`
    case 'feeding-normal':
      return `The three-day mean of the water reaches ${temp(rule.feedingNormalWaterC)} and stays there. ${turn}`
    case 'wetland-flush':
      return `Water at ${temp(rule.flushWaterC)} or more for a week, so that the bed comes back soon, and not while fish spawn in warming water of ${temp(rule.spawningWaterC[0])} to ${temp(rule.spawningWaterC[1])}. ${share}.`
    case 'tender-planting':
      return `The last frost is past and the water stays at ${temp(rule.tenderPlantsWaterC)} or more. ${turn}`
    case 'high-summer':
      return `Water of ${temp(rule.highSummerWaterC)} or more: oxygen is short at night, and evaporation highest. Shade cloth up, aerator on. ${share}.`
    case 'netting':
      return `Nets go on ${rule.nettingLeadDays[0]} to ${rule.nettingLeadDays[1]} days before the main leaf fall that day length and autumn warmth bring here. ${share}.`
    case 'netting-off':
      return `${rule.nettingOffDays[0]} to ${rule.nettingOffDays[1]} days after the main leaf fall the trees are bare; a net left on longer sags under snow. ${share}.`
    case 'shade-down':
      return `The week’s mean of the water falls below ${temp(rule.shadeDownWaterC)}; cloth comes down before the storms. ${turn}`
    case 'feeding-stop':
      return `The three-day mean of the water falls below ${temp(rule.feedingStopWaterC)} for the winter. ${turn}`
    case 'cut-back':
      return `After the first frost of ${temp(rule.killingFrostAirC)} or colder, before what it killed rots in the water. ${turn}`
    case 'winter-shutdown':
      return `Water below ${temp(rule.shutdownWaterC)} and falling, and no hard freeze below ${temp(rule.hardFrostAirC)} yet. ${share}; ${water}.`
    case 'deicer-on':
      return `${rule.deicerLeadDays[0]} to ${rule.deicerLeadDays[1]} days before the first ice. ${share}. Keep a hole open; never smash ice, never walk on it.`
    case 'winter-running':
      return `From the first ice on, running falls are looked at for ice dams, the level for losses, and the intake stays off the bottom. ${turn}`
  }
}

/** What a window that was let pass costs, and what is done instead. */
export const MISSED_ADVICE: Partial<Readonly<Record<WindowJob, string>>> = {
  'spring-cleanout':
    'Later the fish are active and the leaves are out: a cleanout then stresses both. Do a light startup and a flush, and plan the cleanout for next spring.',
  'spring-startup': 'Each warm week without a running filter feeds algae. Start up as soon as a crew is free; expect green water for some weeks.',
  netting: 'Leaves are in the water: net what floats, vacuum what sank before it rots, and net the rest of the fall.',
  'winter-shutdown': 'Pipes and pump may freeze full. Drain what still can be drained on the next thaw, and look for cracks in spring.',
  'tender-planting': 'Planted late they have a short year; still better than in cold water.',
  'wetland-flush': 'Sludge goes on closing the bed. Flush in the next weeks that allow it; until then watch the level over the stone.',
}
